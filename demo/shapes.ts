import type { DocumentWriter } from './document.ts'

type Arrangement = 'in line' | 'in a vee' | 'flat'
type Cylinders = readonly [
  arrangement: Arrangement,
  count: number,
  bore: number,
  stroke: number,
  spacing: number,
  more?: Readonly<Record<string, number>>,
]

const HOB: Cylinders = ['in line', 4, 80, 88, 92]
const TRIVET: Cylinders = ['in line', 4, 84, 84, 93]
const WICK: Cylinders = ['in line', 4, 86, 86, 97, { slantDeg: 12 }]
const EMBER: Cylinders = ['in line', 6, 74, 80, 84, { slantDeg: 8 }]
const QUILL: Cylinders = ['in line', 4, 84, 90, 94, { slantDeg: -8 }]
const NIB: Cylinders = ['in line', 3, 80, 82, 88]
const ANVIL: Cylinders = ['in a vee', 8, 98, 84, 111, { bankDeg: 90, deckMm: 229, headMm: 92 }]
const MAUL: Cylinders = ['in line', 6, 95, 96, 107, { slantDeg: 6 }]
const ADZE: Cylinders = ['in line', 4, 102, 118, 122]
const TARN: Cylinders = ['in line', 4, 81, 77, 89, { slantDeg: 10 }]
const FEN: Cylinders = ['flat', 4, 92, 79, 112]
const WEIR: Cylinders = ['in a vee', 6, 89, 80, 105, { bankDeg: 60 }]

/** How the cylinders of each family stand; of those nobody opened it is not known. */
const ENGINES: readonly (readonly [prefix: string, cylinders: Cylinders])[] = [
  ['hob', HOB],
  ['trivet', TRIVET],
  ['wick', WICK],
  ['ember', EMBER],
  ['quill', QUILL],
  ['nib', NIB],
  ['anvil', ANVIL],
  ['maul', MAUL],
  ['adze', ADZE],
  ['tarn', TARN],
  ['fen', FEN],
  ['weir', WEIR],
]

/** What they weigh, kg, as weighed or from the sheet. */
const MASSES: readonly (readonly [prefix: string, kg: number])[] = [
  ['hob', 118],
  ['trivet', 132],
  ['wick', 127],
  ['ember', 158],
  ['quill', 116],
  ['nib', 92],
  ['anvil', 242],
  ['maul', 228],
  ['adze', 265],
  ['tarn', 112],
  ['fen', 124],
  ['weir', 164],
  ['marlund-4', 27],
  ['marlund-5', 33],
  ['kessarn-3a', 74],
  ['kessarn-5', 36],
  ['sunagi-4a', 71],
  ['sunagi-5', 34],
  ['dovrek-4a', 82],
  ['dovrek-5t', 96],
  ['obrelle-5x', 39],
  ['obrelle-6x', 44],
  ['packet', 1390],
  ['hawser', 1980],
  ['whimbrel', 1120],
]

/** What engines, cases and vehicles look like: cylinders by the makers' sheets, bodies by tape. */
export function shapes(doc: DocumentWriter): void {
  for (const { id, kind } of doc.tables.part ?? []) {
    if (kind !== 'engine') continue
    const found = ENGINES.find(([prefix]) => String(id).startsWith(prefix))
    if (!found) continue
    const [arrangement, count, boreMm, strokeMm, spacingMm, more] = found[1]
    doc.port(
      String(id),
      'cylinders',
      'main',
      { arrangement, count, boreMm, strokeMm, spacingMm, ...more },
      { grade: 'catalogue' },
    )
  }
  for (const row of doc.tables.part ?? []) {
    const kg = MASSES.find(([prefix]) => String(row.id).startsWith(prefix))?.[1]
    if (kg && ['engine', 'transmission', 'vehicle'].includes(String(row.kind)))
      row.massG = kg * 1000
  }
  const tape = { by: 'Ida', method: 'tape-bay', day: '2026-10-03' } as const
  const body = (
    vehicle: string,
    said: string,
    lengths: Readonly<Record<string, number>>,
    grade: 'measured' | 'catalogue',
  ): void => {
    doc.claim(`${vehicle}/outline/main`, 'body', said, grade === 'measured' ? 'measured' : grade)
    for (const [field, mm] of Object.entries(lengths))
      doc.claim(
        `${vehicle}/outline/main`,
        field,
        mm,
        grade,
        grade === 'measured' ? { ...tape } : {},
      )
  }
  body(
    'packet',
    'van',
    {
      mountsMm: 390,
      noseMm: 150,
      tailMm: 745,
      roofMm: 1950,
      crankMm: 372,
      coreMm: 440,
      widthMm: 1620,
    },
    'measured',
  )
  body(
    'hawser',
    'truck',
    {
      mountsMm: 612,
      noseMm: 170,
      tailMm: 840,
      roofMm: 1820,
      crankMm: 560,
      coreMm: 560,
      widthMm: 1780,
    },
    'measured',
  )
  body(
    'whimbrel',
    'coupe',
    { noseMm: 190, tailMm: 820, roofMm: 1290, crankMm: 330, coreMm: 380, widthMm: 1660 },
    'catalogue',
  )
  for (const [field, mm] of [
    ['blockFaceMm', 560],
    ['frontAxleMm', 740],
    ['firewallMm', 1130],
    ['rearAxleMm', 3270],
  ] as const)
    doc.claim('whimbrel/outline/main', field, mm, 'measured', { ...tape, by: 'Tove' })
  for (const transaxle of ['obrelle-5x', 'obrelle-5x-short', 'obrelle-6x'])
    for (const [field, mm] of [
      ['alongMm', 98],
      ['besideMm', 186],
      ['belowMm', 64],
    ] as const)
      doc.claim(`${transaxle}/side-outputs/main`, field, mm, 'catalogue')
  // The front half of the case left is measured; of the right one only what it shares.
  doc.claim('dovrek-case-left/transfer/main', 'dropMm', 208, 'measured', {
    by: 'Bram',
    method: 'rule',
  })
}
