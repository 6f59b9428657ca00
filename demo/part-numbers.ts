import { LINE_ROWS } from '../core/needs/lines/index.ts'
import { PART_KINDS } from '../core/ports/part-kinds.ts'
import { seeded } from '../core/seeded.ts'
import type { DocumentWriter, WrittenTuple } from './document.ts'
import { offer } from './offer.ts'
import { discOf, liningOf } from './train.ts'

/** Maker of a part by the first word of its name, as its numbers are issued. */
const MAKERS: Readonly<Record<string, string>> = {
  Marlund: 'MLD',
  Kessarn: 'KSN',
  Sunagi: 'SNG',
  Dovrek: 'DVK',
  Obrelle: 'OBR',
}

/** What lists know vehicles, engines and gearboxes as: "Kessarn Wick, 2nd" is the 2nd of the family Kessarn Wick. */
export function families(doc: DocumentWriter): void {
  for (const part of doc.tables.part!) {
    if (!['vehicle', 'engine', 'transmission'].includes(String(part.kind))) continue
    const [, built, name = ''] = /^(?:(\d{4}) )?(.*)$/.exec(String(part.name))!
    const [family = '', generation] = name.split(', ')
    part.family = family
    if (generation) part.generation = generation
    if (built) part.built = built
  }
  const breaks = new Map<string, Record<string, unknown>[]>()
  for (const part of doc.tables.part!)
    if (part.kind === 'engine' && part.generation)
      breaks.set(String(part.family), [...(breaks.get(String(part.family)) ?? []), part])
  for (const [family, own] of breaks)
    for (const { generation, fromYear, toYear } of own)
      doc.add('generation', {
        id: `generation-${family}-${generation}`.replaceAll(' ', '-').toLowerCase(),
        target: 'engine',
        family,
        generation,
        from: String(fromYear),
        to: String(toYear),
        grade: 'maker',
        source: `Parts book of ${family.split(' ')[0]}`,
      })
}

/** A number of its maker for whatever came with an engine or a gearbox and has none yet. */
export function ownNumbers(doc: DocumentWriter): void {
  const numbered = new Set(doc.tables.partNumber!.map((row) => row.partId))
  const nameOf = new Map(doc.tables.part!.map((row) => [row.id, String(row.name)]))
  let serial = 600
  for (const { id, ownerId } of doc.tables.part!) {
    const owner = nameOf.get(ownerId)?.replace(/^\d{4} /, '')
    const issuer = MAKERS[owner?.split(' ')[0] ?? '']
    if (issuer && !numbered.has(id))
      doc.number(String(id), issuer, `${++serial}.${10 + (serial % 80)}`)
  }
}

/** Lines of a list that nobody has on a shelf: work, sales and surprises. */
const NO_SPARE =
  /sold|cleaned|moved|refitted|counted|wrong|missing|cause|known|leave|left|core|lengthened|place|^the |visit|bent/i

/** Sellers of spares, by what part of the list they keep. */
const SELLERS = [
  ['harbour', 'skarvik', 'oldquay', 'oarsman', 'sluice'],
  ['harbour', 'oarsman', 'skarvik', 'lamplight', 'ropewalk'],
  ['harbour', 'lamplight', 'oldquay', 'oarsman', 'saltpan'],
  ['harbour', 'tarpot', 'oldquay', 'cooperage', 'oarsman'],
] as const

/** What each place of the list is listed for. */
const LISTED: Readonly<Record<string, 'engine' | 'transmission' | 'vehicle'>> = {
  'engine top': 'engine',
  'engine under': 'engine',
  front: 'engine',
  crank: 'engine',
  face: 'engine',
  coupling: 'transmission',
  gearbox: 'transmission',
  shafts: 'transmission',
}
const FAMILIES = {
  engine: ['Kessarn Wick', 'Dovrek Maul six', 'Obrelle Tarn'],
  transmission: ['Marlund 4-speed', 'Dovrek 4-automatic', 'Obrelle 5-speed transaxle'],
  vehicle: ['Marlund Packet van', 'Dovrek Hawser crew truck', 'Obrelle Whimbrel coupé'],
} as const

/** A spare for each line that is a part without joints: numbered twice over, listed for what it fits, sold by several. */
export function spares(doc: DocumentWriter): void {
  const draw = seeded(417)
  const int = (low: number, high: number): number => low + (draw() % (high - low + 1))
  let serial = 0
  for (const row of LINE_ROWS) {
    const { kind, place, words, eur } = row
    if (row.sort !== 'part' || Object.hasOwn(PART_KINDS, kind) || NO_SPARE.test(words)) continue
    if (eur[1] < 2 || eur[1] > 1500 || kind === 'engine-computer') continue
    if (doc.tables.part!.some((part) => part.kind === kind)) continue
    const id = `spare-${String(++serial).padStart(3, '0')}`
    doc.part(id, kind, words)
    const [older, number] = [
      `4${String(serial).padStart(3, '0')}.1`,
      `4${String(serial).padStart(3, '0')}.2`,
    ]
    doc.number(id, 'HBP', number)
    doc.supersession(`supersession-${id}`, [['HBP', older]], [['HBP', number]], {
      back: serial % 3 === 0 ? 'no' : serial % 3 === 1 ? 'yes' : 'unsaid',
      since: `20${10 + (serial % 14)}`,
      source: 'Price list',
    })
    const target = LISTED[place] ?? 'vehicle'
    for (const family of FAMILIES[target])
      doc.application(
        'HBP',
        number,
        { targets: { [target]: { family } } },
        { source: 'Price list' },
      )
    // Every sixth has a twin in another list.
    if (serial % 6 === 0)
      doc.interchange(`interchange-${id}`, [
        ['HBP', number],
        ['FNF', `I${number}`],
      ])
    const price = Math.round(eur[1] * 100)
    for (const [i, seller] of SELLERS[serial % SELLERS.length]!.entries())
      for (const pack of serial % 2 === 0 && price < 2000 ? [1, 5] : [1])
        offer(
          doc,
          `${id}-${seller}-${pack}`,
          id,
          seller,
          Math.round((price * pack * int(80, 140)) / 100 / (pack > 1 ? 1.1 : 1)),
          {
            issuer: 'HBP',
            number: i === 1 ? `HBP-${number.replace('.', ' ')}` : `HBP ${number}`,
            pack,
            stock: int(1, 40),
            leadDays: int(1, 14),
          },
        )
  }
}

/** What is sold for any engine, gearbox or vehicle of its kind is listed for the builds'. */
const FOR_ANY: Readonly<Record<string, keyof typeof FAMILIES>> = {
  'engine-oil': 'engine',
  belt: 'engine',
  'throttle-actuation': 'engine',
  'gearbox-oil': 'transmission',
  'gearbox-mount': 'transmission',
  coolant: 'vehicle',
  'lower-hose': 'vehicle',
  'engine-mount': 'vehicle',
  exhaust: 'vehicle',
  speedometer: 'vehicle',
}

/** What general parts are listed for. */
export function listings(doc: DocumentWriter): void {
  const kindOf = new Map(doc.tables.part!.map(({ id, kind }) => [id, String(kind)]))
  for (const { partId, issuerId, number } of [...doc.tables.partNumber!]) {
    const target = FOR_ANY[kindOf.get(partId) ?? '']
    if (!target) continue
    for (const family of FAMILIES[target])
      doc.application(
        String(issuerId).slice('issuer-'.length),
        String(number),
        { targets: { [target]: { family } } },
        { source: 'Price list' },
      )
  }
}

/** What numbers are good for and what they hide: one of each trap a shop falls into. */
export function traps(doc: DocumentWriter): void {
  const wick = (generations: readonly string[]) => ({
    targets: { engine: { family: 'Kessarn Wick', generations } },
  })
  const own = (
    id: string,
    kind: string,
    name: string,
    number: string,
    euroMinor: number,
    rest = {},
  ): void => {
    doc.part(id, kind, name, { ownerId: 'wick-2' })
    doc.number(id, 'KSN', number, rest)
    offer(doc, id, id, 'skarvik', euroMinor, { stock: 2, leadDays: 9 })
  }
  const sold = (
    id: string,
    kind: string,
    name: string,
    seller: string,
    euroMinor: number,
    [issuer, number]: WrittenTuple,
    rest = {},
  ): void => {
    doc.part(id, kind, name)
    offer(doc, id, id, seller, euroMinor, { issuer, number, ...rest })
  }
  // The computer of one year will not talk to the loom of another: its last letter is the year.
  own('wick-2-computer', 'engine-computer', 'Kessarn Wick 2nd engine computer', '811.4 D', 38000)
  sold(
    'computer-c',
    'engine-computer',
    'Engine computer, Wick',
    'oldquay',
    6500,
    ['KSN', '811.4 C'],
    { condition: 'used', stock: 1 },
  )
  doc.number('computer-c', 'KSN', '811.4 C')
  // Split: the belt kit came with its tensioner; only the belt is offered under the new number.
  own('wick-2-belt-kit', 'timing-belt-kit', 'Kessarn Wick 2nd timing belt kit', '520.1', 9400)
  doc.supersession(
    'supersession-belt-kit',
    [['KSN', '520.1']],
    [
      ['KSN', '520.2'],
      ['KSN', '520.3'],
    ],
    { back: 'yes', source: 'Service letter 14', grade: 'maker' },
  )
  sold('belt-alone', 'timing-belt-kit', 'Timing belt, Wick 2nd', 'harbour', 2900, ['KSN', '520.2'])
  doc.number('belt-alone', 'KSN', '520.2')
  // A letter O where a nought stands.
  own('wick-2-thermostat', 'thermostat', 'Kessarn Wick 2nd thermostat', '340.2', 2600)
  sold('thermostat-o', 'thermostat', 'Thermostat 82°, Wick', 'oldquay', 900, ['KSN', '34O.2'])
  // Cast in many: it says which casting, not which machining.
  own('wick-2-water-pump', 'water-pump', 'Kessarn Wick 2nd water pump', '9001', 7800, {
    mark: 'cast',
    grade: 'measured',
    source: 'Read off the pump',
  })
  sold('pump-cast', 'water-pump', 'Water pump, as cast 9001', 'oldquay', 3400, ['KSN', '9001'], {
    condition: 'used',
  })
  doc.number('pump-cast', 'KSN', '9001', { mark: 'cast', again: true })
  // Said to fit by who sells it, denied by who made it.
  own('wick-2-plugs', 'plugs', 'Kessarn Wick 2nd plugs', '170.4', 3600)
  doc.application('KSN', '170.6', wick(['1st', '2nd', '3rd']), {
    grade: 'heard',
    source: 'Listing at Old Quay',
  })
  doc.application('KSN', '170.6', wick(['2nd']), {
    fits: 'no',
    grade: 'maker',
    source: 'Service letter 9: the tip reaches the piston',
  })
  doc.interchange(
    'interchange-plugs',
    [
      ['KSN', '170.4'],
      ['KSN', '170.6'],
    ],
    { grade: 'heard', source: 'Listing at Old Quay' },
  )
  sold('plugs-denied', 'plugs', 'Plugs, set, Wick', 'oldquay', 800, ['KSN', '170.6'])
  doc.number('plugs-denied', 'KSN', '170.6')
  // Of the generation after.
  own('wick-2-rear-seal', 'rear-main-seal', 'Kessarn Wick 2nd rear main seal', '630.1', 2900)
  doc.application('KSN', '630.1', wick(['1st', '2nd']), {
    grade: 'maker',
    source: 'Parts book of Kessarn',
  })
  doc.application('KSN', '630.3', wick(['3rd', '4th']), {
    grade: 'maker',
    source: 'Parts book of Kessarn',
  })
  sold('seal-late', 'rear-main-seal', 'Rear main seal, Wick late', 'harbour', 1400, [
    'KSN',
    '630.3',
  ])
  doc.number('seal-late', 'KSN', '630.3')
  // The disc before the last: replaced, and the old serves no more.
  doc.part('disc-14', 'disc', 'Clutch disc 200, first')
  doc.port('disc-14', 'disc-hub', 'main', discOf(-6, 18))
  liningOf(doc, 'disc-14', { outerMm: 225, innerMm: 150 })
  doc.number('disc-14', 'MLD', '417.14')
  offer(doc, 'disc-14', 'disc-14', 'oldquay', 2100, {
    issuer: 'MLD',
    number: 'MLD 417.14',
    stock: 1,
  })
  doc.supersession('supersession-disc-before', [['MLD', '417.14']], [['MLD', '417.18']], {
    back: 'no',
    source: 'Service letter 3',
    grade: 'maker',
  })
  // Interchange that holds.
  own('wick-2-oil-filter', 'oil-filter', 'Kessarn Wick 2nd oil filter', '250.7', 1400)
  doc.interchange('interchange-oil-filter', [
    ['KSN', '250.7'],
    ['HBP', '5001.1'],
  ])
  sold('filter-hbp', 'oil-filter', 'Oil filter, spin-on', 'harbour', 850, ['HBP', '5001.1'])
  doc.number('filter-hbp', 'HBP', '5001.1')
}
