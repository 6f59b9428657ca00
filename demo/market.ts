import { xorshift128plus } from 'pure-rand/generator/xorshift128plus'
import type { DocumentWriter } from './document.ts'
import { offer as addOffer } from './offer.ts'
import { SUPPLIERS } from './suppliers.ts'

export const ISSUERS = ['MLD', 'KSN', 'SNG', 'DVK', 'OBR', 'TSL', 'BRM', 'HBP', 'FNF'] as const

/** Kinds sold as general parts: words, price range in EUR cents, pack, who sells them. */
type General = readonly [
  kind: string,
  words: readonly string[],
  low: number,
  high: number,
  pack: number,
  sellers: readonly string[],
]

const GENERAL: readonly General[] = [
  [
    'dowel',
    ['Dowel 12 × 24, reamed fit', 'Dowel 12 × 30', 'Dowel 12 × 20', 'Dowel 12 × 36, hardened'],
    380,
    890,
    1,
    ['fennmoor', 'harbour', 'tessil'],
  ],
  [
    'bell-bolt',
    [
      'Bolt M10x1.5 × 40, 8.8',
      'Bolt M10x1.5 × 50, 8.8',
      'Bolt M10x1.5 × 60, 10.9',
      'Bolt M10x1.5 × 45, 8.8',
    ],
    70,
    190,
    10,
    ['fennmoor', 'harbour'],
  ],
  [
    'flange-bolt',
    [
      'Flywheel bolt M10x1.25 × 25, 10.9',
      'Flywheel bolt M10x1.25 × 30, 10.9',
      'Flywheel bolt M12x1.25 × 25, 10.9',
    ],
    210,
    420,
    1,
    ['fennmoor', 'harbour', 'skarvik'],
  ],
  [
    'cover-bolt',
    ['Cover bolt M8x1.25 × 20', 'Cover bolt M8x1.25 × 22, shouldered', 'Cover bolt set'],
    90,
    220,
    6,
    ['fennmoor', 'harbour'],
  ],
  [
    'gearbox-cooler',
    ['Oil cooler, plate type', 'Oil cooler, finned tube'],
    8900,
    16800,
    1,
    ['harbour', 'skarvik'],
  ],
  [
    'cooler-line',
    ['Cooler line, to length', 'Cooler hose, crimped'],
    2400,
    5200,
    1,
    ['harbour', 'skarvik'],
  ],
  [
    'engine-mount',
    [
      'Engine mount, soft',
      'Engine mount, firm',
      'Engine mount bracket, weld on',
      'Engine mount, van',
      'Engine mount, hydraulic',
    ],
    2200,
    6400,
    1,
    ['harbour', 'oldquay', 'skarvik'],
  ],
  [
    'gearbox-mount',
    [
      'Gearbox mount, bolt on',
      'Gearbox mount, bonded',
      'Gearbox mount, van',
      'Gearbox mount, firm',
    ],
    2600,
    5900,
    1,
    ['harbour', 'oldquay'],
  ],
  [
    'speedometer',
    ['Speedometer cable, to length', 'Speedometer drive gear', 'Pulse to cable drive'],
    1900,
    8800,
    1,
    ['harbour', 'oldquay'],
  ],
  [
    'throttle-actuation',
    ['Throttle cable, universal', 'Throttle cable bracket', 'Throttle cable, van'],
    1400,
    3900,
    1,
    ['harbour', 'oldquay'],
  ],
  [
    'engine-oil',
    [
      'Engine oil 10W-40 and filter',
      'Engine oil 15W-40 and filter',
      'Engine oil 5W-40 and filter',
      'Running-in oil and filter',
    ],
    3800,
    7200,
    1,
    ['harbour', 'skarvik'],
  ],
  [
    'gearbox-oil',
    ['Gearbox oil 75W-80', 'Gearbox oil 80W-90', 'Gearbox oil 75W-90'],
    1900,
    4800,
    1,
    ['harbour', 'skarvik'],
  ],
  [
    'coolant',
    ['Coolant, silicated', 'Coolant, organic acid', 'Coolant concentrate'],
    1600,
    3400,
    1,
    ['harbour', 'skarvik'],
  ],
  [
    'lower-hose',
    ['Hose 38, elbow', 'Hose 38, corrugated', 'Hose 38, straight'],
    1200,
    3100,
    1,
    ['harbour', 'oldquay'],
  ],
  [
    'belt',
    ['Ribbed belt 6 × 1130', 'Ribbed belt 6 × 1195', 'Vee belt 10 × 950'],
    900,
    2600,
    1,
    ['harbour', 'skarvik'],
  ],
  [
    'exhaust',
    ['Exhaust, mandrel bends and silencer', 'Exhaust, straight pipe and silencer'],
    9800,
    31000,
    1,
    ['harbour', 'oldquay'],
  ],
  ['inspection', ["Engineer's visit and certificate"], 24000, 24000, 1, ['harbour']],
]

const OFFERED_COUPLING = [
  'flywheel',
  'flexplate',
  'cover',
  'disc',
  'release-bearing',
  'pilot',
  'starter',
  'separator',
  'converter',
]

/** Suppliers, rates, and offers for everything that can be bought; seeded, so the same every time. */
export function market(doc: DocumentWriter, offersWanted: number, partsWanted: number): void {
  const random = xorshift128plus(1979)
  const int = (low: number, high: number): number =>
    low + ((random.next() >>> 0) % (high - low + 1))
  for (const name of ISSUERS)
    doc.add('issuer', {
      id: `issuer-${name}`,
      name,
      upper: true,
      noise: ' .-',
      // Most people write whose it is before it.
      rule: { prefixes: [name], zeros: 'keep', shapes: [], suffixes: [], check: 'none' },
    })
  for (const [id, name, place, currency, minimumMinor, shippingMinor, freeOverMinor] of SUPPLIERS)
    doc.add('supplier', { id, name, place, currency, minimumMinor, shippingMinor, freeOverMinor })
  doc.add('rate', {
    id: 'rate-gbp',
    fromCurrency: 'GBP',
    toCurrency: 'EUR',
    rate: 1.17,
    day: '2026-11-02',
    source: 'Bank letter',
  })
  doc.add('rate', {
    id: 'rate-sek',
    fromCurrency: 'SEK',
    toCurrency: 'EUR',
    rate: 0.0892,
    day: '2026-11-02',
    source: 'Bank letter',
  })

  let count = 0
  const offer = (
    partId: string,
    supplierId: string,
    euroMinor: number,
    rest: Record<string, unknown> = {},
  ): void => addOffer(doc, String(++count).padStart(4, '0'), partId, supplierId, euroMinor, rest)
  const stockOf = (): Record<string, unknown> => ({ stock: int(1, 40), leadDays: int(1, 14) })

  // What came with engines and gearboxes can be bought new or used.
  for (const part of doc.tables.part!.filter((row) =>
    OFFERED_COUPLING.includes(String(row.kind)),
  )) {
    const base =
      {
        flywheel: 19000,
        flexplate: 15000,
        cover: 11500,
        disc: 9200,
        'release-bearing': 3100,
        pilot: 1200,
        starter: 14800,
        separator: 1800,
        converter: 42000,
      }[String(part.kind)] ?? 5000
    offer(String(part.id), 'harbour', int(base, base * 1.3), stockOf())
    offer(String(part.id), 'skarvik', int(base * 0.9, base * 1.2), stockOf())
    offer(String(part.id), 'oldquay', int(base * 0.3, base * 0.6), {
      condition: 'used',
      stock: 1,
      leadDays: int(2, 9),
    })
  }
  for (const [part, price] of [
    ['wick-2', 68000],
    ['wick-1', 54000],
    ['quill-early', 61000],
    ['quill-late', 74000],
    ['anvil', 120000],
    ['kessarn-5', 45000],
    ['sunagi-5', 43000],
    ['dovrek-4a', 88000],
  ] as const) {
    offer(part, 'oldquay', price, { condition: 'used', stock: 1, leadDays: 5 })
    offer(part, 'skarvik', price * 2.6, { condition: 'rebuilt', stock: 2, leadDays: 21 })
  }
  for (const [part, price] of [
    ['plate-w2-12', 26500],
    ['plate-w1-16', 28600],
    ['plate-q-14', 28600],
    ['spacer-4', 7400],
    ['spacer-8', 7900],
  ] as const)
    offer(part, 'tessil', price, stockOf())
  offer('plate-w2-12b', 'brimble', 17200, stockOf())

  const parts: [string, number, number, readonly string[]][] = []
  let serial = 0
  const generalPart = (
    kind: string,
    words: string,
    low: number,
    high: number,
    pack: number,
    sellers: readonly string[],
  ): void => {
    const id = `general-${String(++serial).padStart(3, '0')}`
    doc.part(id, kind, words)
    const bolt = /(M\d+x[\d.]+) × (\d+)/.exec(words)
    if (bolt && (kind === 'bell-bolt' || kind === 'flange-bolt'))
      doc.port(
        id,
        'flange-bolts',
        'main',
        { thread: bolt[1], lengthMm: Number(bolt[2]) },
        { grade: 'catalogue', source: 'Price list' },
      )
    doc.number(
      id,
      sellers[0] === 'fennmoor' ? 'FNF' : 'HBP',
      `${serial < 100 ? '2' : '3'}${String(serial).padStart(3, '0')}.${int(10, 99)}`,
    )
    parts.push([id, int(low, high), pack, sellers])
  }
  for (const [kind, words, low, high, pack, sellers] of GENERAL)
    for (const name of words) generalPart(kind, name, low, high, pack, sellers)
  for (let i = 0; doc.tables.part!.length < partsWanted; i++) {
    const [kind, words, low, high, pack, sellers] = GENERAL[i % (GENERAL.length - 1)]!
    generalPart(
      kind,
      `${words[i % words.length]}, ${['economy', 'heavy', 'long life', 'trade pack', 'marine'][Math.floor(i / GENERAL.length) % 5]}`,
      low,
      high,
      pack,
      sellers,
    )
  }
  for (let round = 0; count < offersWanted; round++)
    for (const [id, price, pack, sellers] of parts) {
      if (count >= offersWanted) break
      const seller = sellers[round % sellers.length]!
      if (round < sellers.length)
        offer(id, seller, Math.round(price * pack * (int(85, 130) / 100)), { pack, ...stockOf() })
      else
        offer(id, seller, Math.round(price * pack * (2 + round) * 0.9), {
          pack: pack * (2 + round),
          ...stockOf(),
        })
    }
}

/** Kits and adapters of different quality: one without dowels, one of two parts. */
export function kits(doc: DocumentWriter): void {
  const kit = (
    id: string,
    name: string,
    supplierId: string,
    priceMinor: number,
    items: readonly (readonly [part: string, quantity: number])[],
    rest: Record<string, unknown> = {},
  ): void => {
    const currency = SUPPLIERS.find(([supplier]) => supplier === supplierId)![3]
    doc.add('kit', {
      id,
      name,
      supplierId,
      priceMinor,
      currency,
      taxIncluded: currency !== 'SEK',
      ...rest,
    })
    for (const [i, [partId, quantity]] of items.entries())
      doc.add('kitItem', { id: `${id}-${i + 1}`, kitId: id, partId, quantity })
  }
  kit(
    'kit-1',
    'Tessil Wick 2nd kit',
    'tessil',
    36900,
    [
      ['plate-w2-12', 1],
      ['general-001', 4],
      ['general-005', 14],
    ],
    { weightG: 9800, note: 'Milled plate, reamed dowel holes, drawing in the box' },
  )
  kit(
    'kit-2',
    'Brimble Wick 2nd kit',
    'brimble',
    19900,
    [
      ['plate-w2-12b', 1],
      ['general-005', 14],
    ],
    { weightG: 9200, omits: 'Dowels, drawing', note: 'Laser cut' },
  )
  kit(
    'kit-3',
    'Tessil Wick 1st kit',
    'tessil',
    42800,
    [
      ['plate-w1-16', 1],
      ['spacer-4', 1],
      ['general-001', 4],
      ['general-010', 8],
    ],
    { weightG: 12400, note: 'Plate and spacer, bolts for the spacer' },
  )
  kit(
    'kit-4',
    'Tessil Wick spacer set',
    'tessil',
    14600,
    [
      ['spacer-4', 1],
      ['spacer-8', 1],
    ],
    { weightG: 2600 },
  )
  kit(
    'kit-5',
    'Tessil Quill kit',
    'tessil',
    39900,
    [
      ['plate-q-14', 1],
      ['bush-15', 1],
      ['general-001', 4],
    ],
    { weightG: 10600 },
  )
  kit('kit-6', 'Pilot bush pair', 'harbour', 3900, [
    ['bush-15', 1],
    ['bush-17', 1],
  ])
  kit(
    'kit-7',
    'Marlund clutch kit',
    'harbour',
    21900,
    [
      ['marlund-4-cover', 1],
      ['marlund-4-disc-20', 1],
      ['marlund-4-release-bearing', 1],
    ],
    { weightG: 7800 },
  )
  kit(
    'kit-8',
    'Automatic cooler kit',
    'skarvik',
    210000,
    [
      ['general-015', 1],
      ['general-017', 2],
    ],
    { weightG: 4100 },
  )
}

/** Six donors: whole vehicles, a bare engine, a pulled pair. */
export function donors(doc: DocumentWriter): void {
  const donor = (
    id: string,
    name: string,
    money: readonly [
      price: number,
      fetch: number,
      disposal: number,
      scrap: number,
      repair?: number,
      missing?: number,
      storage?: number,
    ],
    items: readonly (readonly [
      part: string,
      quantity: number,
      strip: number,
      sale: number,
      chance: number,
      selling: number,
    ])[],
    note?: string,
  ): void => {
    const [
      priceMinor,
      fetchMinor,
      disposalMinor,
      scrapMinor,
      repairMinor = 0,
      missingMinor = 0,
      storageMinor = 0,
    ] = money
    doc.add('donor', {
      id,
      name,
      place: 'Outer island',
      currency: 'EUR',
      priceMinor,
      fetchMinor,
      disposalMinor,
      scrapMinor,
      repairMinor,
      missingMinor,
      storageMinor,
      saleFee: 1 / 6,
      note,
    })
    for (const [
      i,
      [partId, quantity, stripHours, saleMinor, chance, sellingHours],
    ] of items.entries())
      doc.add('donorItem', {
        id: `${id}-${i + 1}`,
        donorId: id,
        partId,
        quantity,
        stripHours,
        saleMinor,
        chance,
        sellingHours,
        held: false,
      })
  }
  donor(
    'donor-1',
    'Kessarn Pinnace saloon 1994, rust',
    [52000, 9000, 0, 12000, 3500, 0, 2000],
    [
      ['wick-2', 1, 6, 60000, 0.5, 2],
      ['wick-2-flywheel', 1, 0.5, 9000, 0.4, 0.5],
      ['wick-2-pilot', 1, 0.2, 0, 0, 0],
      ['kessarn-5', 1, 3, 40000, 0.6, 1],
      ['kessarn-5-starter', 1, 0.4, 6000, 0.5, 0.3],
      ['general-019', 2, 0.5, 2500, 0.3, 0.3],
    ],
    'Frame rotten, engine dry; started and driven',
  )
  donor(
    'donor-2',
    'Bare Wick 2nd engine',
    [31000, 6000, 0, 0, 4000, 46000],
    [['wick-2', 1, 0, 30000, 0.5, 1]],
    'No loom, no starter, no brackets',
  )
  donor(
    'donor-3',
    'Kessarn Pinnace saloon 1988, front hit',
    [38000, 11000, 2000, 9000],
    [
      ['wick-1', 1, 6, 45000, 0.5, 2],
      ['wick-1-flywheel', 1, 0.5, 8000, 0.4, 0.5],
      ['kessarn-5', 1, 3, 40000, 0.4, 1],
    ],
  )
  donor(
    'donor-4',
    'Sunagi Heron hatchback 1991',
    [46000, 8000, 0, 10000],
    [
      ['quill-early', 1, 7, 52000, 0.5, 2],
      ['sunagi-5', 1, 3, 36000, 0.5, 1],
      ['quill-early-flywheel', 1, 0.5, 7000, 0.3, 0.5],
    ],
  )
  donor(
    'donor-5',
    'Sunagi Heron hatchback 1996',
    [64000, 8000, 0, 11000],
    [
      ['quill-late', 1, 7, 60000, 0.5, 2],
      ['sunagi-5', 1, 3, 36000, 0.5, 1],
    ],
  )
  donor(
    'donor-6',
    'Dovrek Hawser truck 1993',
    [140000, 18000, 3000, 21000],
    [
      ['anvil', 1, 9, 95000, 0.5, 3],
      ['dovrek-4a', 1, 4, 60000, 0.5, 2],
      ['anvil-flexplate', 1, 0.5, 7000, 0.3, 0.5],
    ],
  )
}
