import type { DocumentWriter } from './document.ts'
import { drilled, PATTERNS, tapped } from './patterns.ts'
import { SUPPLIERS } from './suppliers.ts'

/** How good each kit is said to be, how its wear parts are had again, and what is said to have held or failed. */
export function kitFacts(doc: DocumentWriter): void {
  thinPlate(doc)
  const kitOf = (id: string) => doc.tables.kit!.find((one) => one.id === id)!
  kitOf('kit-1').quality = {
    holeProcess: 'reamed',
    plateMaterial: 'steel S355',
    plateMm: 12,
    pieces: 1,
    hardwareClass: '10.9',
    instructions: 'drawing',
    designYear: 2024,
  }
  kitOf('kit-2').quality = {
    holeProcess: 'laser',
    plateMaterial: 'mild steel',
    plateMm: 12,
    pieces: 1,
    hardwareClass: '8.8',
    instructions: 'none',
    designYear: 2017,
  }
  const again = (id: string, partId: string, hadAgain: string): void => {
    const item = doc.tables.kitItem!.find((one) => one.kitId === id && one.partId === partId)
    if (item) item.hadAgain = hadAgain
  }
  again('kit-5', 'bush-15', 'Turned from bronze bar to the drawing in the box')
  again('kit-7', 'marlund-4-disc-20', 'Any disc 225 with 23 splines')
  for (const [i, [about, id, outcome, what, howMany, source]] of (
    [
      [
        'kitId',
        'kit-2',
        'failed',
        'Dowels were left to the buyer: two ran out of line',
        4,
        'Ferry owners’ letters',
      ],
      ['kitId', 'kit-2', 'held', 'Ran two summers', 1, 'Ferry owners’ letters'],
      ['kitId', 'kit-1', 'held', 'Mated at the first try, dowels home by hand', 3, 'Skerry Works'],
      [
        'kitId',
        'kit-9',
        'failed',
        'Clutch would not free: plate too thin by far',
        2,
        'Harbour talk',
      ],
      [
        'supplierId',
        'brimble',
        'failed',
        'Drawing never came, letters not answered',
        2,
        'Harbour talk',
      ],
      [
        'supplierId',
        'tessil',
        'held',
        'Sizes as drawn on every part measured so far',
        5,
        'Skerry Works',
      ],
    ] as const
  ).entries())
    doc.add('report', {
      id: `report-${i + 1}`,
      [about]: id,
      outcome,
      what,
      howMany,
      source,
      grade: source === 'Skerry Works' ? 'fitted' : 'heard',
      day: '2026-09-14',
    })
  doc.add('watch', {
    id: 'watch-1',
    partId: 'plate-w2-12',
    mostMinor: 24000,
    currency: 'EUR',
    note: 'A second one for the spare engine',
    day: '2026-10-02',
  })
  serviceKits(doc)
}

/** The trap of a cheap kit: a plate of 8 mm where the shaft asks for 12. */
function thinPlate(doc: DocumentWriter): void {
  const advert = { grade: 'catalogue', source: 'Kit advert' } as const
  const id = doc.part('plate-w2-8', 'plate', 'Sound plate 8 mm, Wick 2nd to Marlund')
  doc.port(id, 'plate', 'main', { thicknessMm: 8 }, advert)
  doc.port(id, 'face', 'front', drilled(PATTERNS.wickSecond), { ...advert, looks: 'forward' })
  doc.port(id, 'face', 'rear', tapped(PATTERNS.marlund), { ...advert, looks: 'rearward' })
  kit(doc, 'kit-9', 'Sound Wick 2nd pack', 'saltpan', 14900, [[id, 1]], {
    omits: 'Bolts, instructions',
    quality: {
      holeProcess: 'plasma',
      plateMm: 8,
      pieces: 1,
      instructions: 'none',
      designYear: 2012,
    },
  })
  kit(
    doc,
    'kit-10',
    'Tessil Wick 2nd kit, mark two',
    'tessil',
    33900,
    [
      ['plate-w2-12', 1],
      ['general-001', 2],
    ],
    { standing: 'announced', note: 'One plate, dowels pressed in' },
  )
}

function kit(
  doc: DocumentWriter,
  id: string,
  name: string,
  supplierId: string,
  priceMinor: number,
  items: readonly (readonly [part: string, quantity: number])[],
  rest: Record<string, unknown> = {},
): void {
  const currency = SUPPLIERS.find(([supplier]) => supplier === supplierId)![3]
  doc.add('kit', { id, name, supplierId, priceMinor, currency, taxIncluded: true, ...rest })
  for (const [i, [partId, quantity]] of items.entries())
    doc.add('kitItem', { id: `${id}-${i + 1}`, kitId: id, partId, quantity })
}

/** What is sold together because it is renewed together. */
const TOGETHER = [
  ['hose and coolant set', ['coolant', 'lower-hose'], 'cooperage'],
  ['oil change set', ['engine-oil', 'gearbox-oil'], 'harbour'],
  ['mount set', ['engine-mount', 'gearbox-mount'], 'oldquay'],
  ['belt and coolant set', ['belt', 'coolant'], 'harbour'],
  ['throttle cable set', ['throttle-actuation', 'speedometer'], 'oldquay'],
] as const
const SIZES = ['economy', 'trade', 'heavy', 'marine'] as const

function serviceKits(doc: DocumentWriter): void {
  const dearest = (partId: string): number =>
    Math.max(
      0,
      ...doc.tables
        .offer!.filter((one) => one.partId === partId)
        .map((one) => Number(one.priceMinor)),
    )
  for (const [i, size] of SIZES.entries())
    for (const [j, [words, kinds, supplier]] of TOGETHER.entries()) {
      const items = kinds.flatMap((kind) => {
        const all = doc.tables.part!.filter((part) => part.kind === kind)
        const part = all[(i * 3 + j) % all.length]
        return part ? [[String(part.id), 1] as const] : []
      })
      kit(
        doc,
        `kit-${11 + i * TOGETHER.length + j}`,
        `Service kit, ${words}, ${size}`,
        supplier,
        items.reduce((sum, [part]) => sum + dearest(part), 900),
        items,
        { weightG: 2400 + 300 * j },
      )
    }
}
