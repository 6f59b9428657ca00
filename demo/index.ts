import { DocumentWriter } from './document.ts'
import { moreEngines, moreGearboxes, transferCases } from './families.ts'
import { kitFacts } from './kit-facts.ts'
import { donors, kits, market } from './market.ts'
import { offer } from './offer.ts'
import { alder, sprat } from './other-builds.ts'
import { families, listings, ownNumbers, spares, traps } from './part-numbers.ts'
import { prices } from './prices.ts'
import { shapes } from './shapes.ts'
import { adapters, discOf, liningOf, trains } from './train.ts'
import { answers, traits } from './traits.ts'

/**
 * The invented shop Skerry Works and its builds Lantern, Alder and Sprat, as one document in the export format. Deterministic.
 * `scale` multiplies parts and offers, for benches.
 */
export function demoDocument(scale = 1): {
  format: 'junket-build'
  version: 3
  tables: Record<string, Record<string, unknown>[]>
} {
  const doc = new DocumentWriter()
  recipients(doc)
  trains(doc)
  moreEngines(doc)
  moreGearboxes(doc)
  transferCases(doc)
  adapters(doc)
  // The disc Marlund superseded: the old number stands on the gearbox's own disc, the new one is what is sold.
  doc.part('marlund-4-disc-20', 'disc', 'Marlund clutch disc 200, later')
  doc.port('marlund-4-disc-20', 'disc-hub', 'main', discOf(-6, 18))
  liningOf(doc, 'marlund-4-disc-20', { outerMm: 225, innerMm: 150 })
  shafts(doc)
  market(doc, 710 * scale, 150 * scale)
  kits(doc)
  donors(doc)
  numbers(doc)
  measurements(doc)
  lantern(doc)
  alder(doc)
  sprat(doc)
  shapes(doc)
  people(doc)
  traits(doc)
  answers(doc)
  families(doc)
  ownNumbers(doc)
  listings(doc)
  spares(doc)
  traps(doc)
  prices(doc)
  kitFacts(doc)
  return { format: 'junket-build', version: 3, tables: doc.tables }
}

function recipients(doc: DocumentWriter): void {
  doc.part('packet', 'vehicle', '1979 Marlund Packet van', { fromYear: 1979, toYear: 1979 })
  doc.port('packet', 'axle', 'rear', { ratio: 4.11 })
  doc.claim('packet/axle/rear', 'ladenKg', 1340, 'measured', {
    by: 'Ida',
    method: 'scale',
    day: '2026-10-03',
  })
  doc.port('packet', 'tyre', 'rear', { marking: '185/80R14' }, { grade: 'measured', by: 'Ida' })
  doc.port('packet', 'ratings', 'torque-axle', { torqueNm: 4400, reference: 'axle', basis: 'peak' })
  doc.port('packet', 'outline', 'main', { layout: 'lengthwise' }, { grade: 'measured', by: 'Ida' })
  for (const [field, mm] of [
    ['blockFaceMm', 640],
    ['frontAxleMm', 300],
    ['firewallMm', 812],
    ['rearAxleMm', 2640],
  ] as const)
    doc.claim('packet/outline/main', field, mm, 'measured', {
      by: 'Ida',
      method: 'tape-bay',
      day: '2026-10-03',
    })
  // The old train sits on these: its pads 250 ahead of the block face, its gearbox pad 500 behind the separator's 1.5.
  doc.port(
    'packet',
    'chassis-pads',
    'main',
    { crankAboveMm: 40, spreadMm: 480, angleDeg: 45, thread: 'M10x1.5', captive: true },
    { grade: 'measured', by: 'Bram', method: 'rule' },
  )
  doc.port(
    'packet',
    'crossmember',
    'main',
    { alongMm: 752, belowMm: 85, spacingMm: 80, slotMm: 6, thread: 'M10x1.5', mayMove: true },
    { grade: 'measured', by: 'Bram', method: 'tape-shaft' },
  )
  const under = doc.port('packet', 'under-engine', 'main', {})
  doc.claim(
    under,
    'zones',
    [
      { fromMm: -130, toMm: -90, depthMm: 150, moving: true, name: 'tie rod' },
      { fromMm: -60, toMm: 20, depthMm: 120, name: 'crossmember' },
    ],
    'measured',
    { by: 'Ida', method: 'tape-bay', day: '2026-10-03' },
  )
  driveline(doc)
  doc.part('lugger', 'vehicle', '1984 Kessarn Lugger pickup', { fromYear: 1984, toYear: 1984 })
  doc.port('lugger', 'axle', 'rear', { ratio: 3.9, ladenKg: 1500 }, { grade: 'catalogue' })
  doc.port('lugger', 'tyre', 'rear', { marking: '195/75R15' }, { grade: 'catalogue' })
  doc.port('lugger', 'outline', 'main', { layout: 'lengthwise' }, { grade: 'catalogue' })
}

/** What of the Packet meets the gearbox: measured on it, under it, and at its pedals. */
function driveline(doc: DocumentWriter): void {
  const tape = { grade: 'measured', by: 'Ida', method: 'tape-shaft' } as const
  const rule = { grade: 'measured', by: 'Bram', method: 'rule' } as const
  doc.port('packet', 'starter-room', 'main', { side: 'both' }, { grade: 'measured', by: 'Ida' })
  doc.port('packet', 'clutch-pedal', 'main', { travelMm: 140, ratio: 5.5, strokeMm: 30 }, rule)
  doc.claim('packet/clutch-pedal/main', 'masterMm', 19.05, 'maker')
  doc.port(
    'packet',
    'pinion',
    'main',
    { alongMm: 2150, belowMm: 5, rightMm: 0, travelMm: 40 },
    tape,
  )
  doc.claim('packet/pinion/main', 'noseUpDeg', 1.5, 'measured', { by: 'Ida', method: 'level' })
  doc.port(
    'packet',
    'propshaft',
    'main',
    { type: 'slip', splines: 24, lengthMm: 1199, slipMm: 90 },
    tape,
  )
  for (const [field, mm] of [
    ['majorMm', 32.2],
    ['tubeMm', 76.2],
    ['wallMm', 1.65],
    ['yokeDeg', 25],
  ] as const)
    doc.claim('packet/propshaft/main', field, mm, 'maker')
  doc.claim('packet/pinion/main', 'flange', 'flange 94', 'maker')
  doc.port(
    'packet',
    'bay',
    'main',
    { lengthMm: 690, widthMm: 640, heightMm: 455 },
    { grade: 'measured', by: 'Ida', method: 'tape-bay' },
  )
  doc.port('packet', 'tunnel', 'main', { bellMm: 352, leverMm: 318, tailMm: 291 }, rule)
  doc.port('marlund-4', 'tunnel', 'main', { bellMm: 330, leverMm: 296, tailMm: 262 }, rule)
  doc.port(
    'packet',
    'lever-opening',
    'main',
    { fromMm: 710, toMm: 840, work: 'lever on the case', mayCut: true },
    tape,
  )
  doc.port('packet', 'speed-reader', 'main', { type: 'cable', perKm: 620 })
  doc.port('packet', 'switch-wants', 'main', { reverse: true, interlock: 'clutch switch' })
}

/** Shaft halves a shop can buy: front yokes and rear halves that make up a propshaft, one of a bar of its own. */
function shafts(doc: DocumentWriter): void {
  const halves: readonly (readonly [
    id: string,
    name: string,
    end: string,
    fits: string,
    bar: string,
    length: number,
    low: number,
    high: number,
  ])[] = [
    [
      'half-yoke-24',
      'Slip yoke and tube, 24 splines',
      'inner',
      '24 splines',
      'tube 76',
      640,
      0,
      120,
    ],
    [
      'half-yoke-24-long',
      'Slip yoke and tube, 24 splines, long',
      'inner',
      '24 splines',
      'tube 76',
      890,
      0,
      120,
    ],
    [
      'half-yoke-26',
      'Slip yoke and tube, 26 splines',
      'inner',
      '26 splines',
      'tube 76',
      700,
      0,
      120,
    ],
    [
      'half-yoke-25',
      'Slip yoke and tube, 25 splines',
      'inner',
      '25 splines',
      'tube 63',
      720,
      0,
      100,
    ],
    ['half-rear-94', 'Rear half, flange 94', 'outer', 'flange 94', 'tube 76', 620, 30, 120],
    [
      'half-rear-94-short',
      'Rear half, flange 94, short',
      'outer',
      'flange 94',
      'tube 76',
      410,
      30,
      120,
    ],
    ['half-rear-88', 'Rear half, flange 88', 'outer', 'flange 88', 'tube 76', 600, 30, 120],
  ]
  for (const [id, name, end, fits, bar, lengthMm, overlapLowMm, overlapHighMm] of halves) {
    doc.part(id, 'shaft-half', name)
    doc.port(
      id,
      'shaft-half',
      'main',
      { end, fits, bar, lengthMm, overlapLowMm, overlapHighMm },
      { grade: 'catalogue' },
    )
    if (id !== 'half-rear-88')
      offer(doc, id, id, 'harbour', end === 'inner' ? 8900 + lengthMm * 4 : 7200 + lengthMm * 4, {
        issuer: 'HBP',
        number: `HBP ${id.slice(5).toUpperCase()}`,
        description: name,
        stock: 2,
        leadDays: 4,
      })
  }
}

function numbers(doc: DocumentWriter): void {
  doc.number('marlund-4-disc', 'MLD', '417.18')
  doc.number('marlund-4-disc-20', 'MLD', '417.20')
  doc.supersession('supersession-disc', [['MLD', '417.18']], [['MLD', '417.20']], { back: 'no' })
  doc.number('marlund-4-cover', 'MLD', '417.02')
  doc.number('marlund-4-release-bearing', 'MLD', '417.08')
  doc.number('marlund-4-starter', 'MLD', '455.10')
  doc.number('wick-2-flywheel', 'KSN', '311.2')
  doc.number('wick-2-pilot', 'KSN', '311.9')
  doc.number('plate-w2-12', 'TSL', '12.04')
  doc.number('plate-w1-16', 'TSL', '16.04')
  doc.number('plate-q-14', 'TSL', '14.02')
  doc.number('spacer-4', 'TSL', '16.05')
  doc.number('plate-w2-12b', 'BRM', 'W2-12')
  offer(doc, 'disc-later', 'marlund-4-disc-20', 'harbour', 7900, {
    issuer: 'MLD',
    number: 'MLD 417.20',
    description: 'Clutch disc 200',
    stock: 6,
    leadDays: 2,
  })
}

/** What the shop measured itself; one overturns hearsay. */
function measurements(doc: DocumentWriter): void {
  const bench: readonly (readonly [
    port: string,
    field: string,
    value: number,
    method: string,
    by: string,
  ])[] = [
    ['wick-2/crank-flange/main', 'proudMm', 14.72, 'bar-caliper', 'Ida'],
    ['wick-2/pilot-bore/crank', 'boreMm', 25.001, 'micrometer', 'Bram'],
    ['marlund-4/input-shaft/main', 'tipMm', -14.05, 'bar-caliper', 'Bram'],
    ['marlund-4/input-shaft/main', 'noseMm', 14.999, 'micrometer', 'Bram'],
    ['marlund-4-starter/starter/main', 'pinionMm', 22.95, 'bar-caliper', 'Tove'],
    ['hob/crank-flange/main', 'proudMm', 4.18, 'bar-caliper', 'Ida'],
  ]
  for (const [port, field, value, method, by] of bench)
    doc.claim(port, field, value, 'measured', { method, by })
  doc.claim('marlund-4/ratings/torque', 'torqueNm', 260, 'heard', {
    source: 'Kit seller, who sells it',
    by: 'Tove',
  })
  doc.claim('wick-2/crank-flange/main', 'proudMm', 13, 'heard', { source: 'Advert', by: 'Tove' })
}

function lantern(doc: DocumentWriter): void {
  doc.add('build', {
    id: 'lantern',
    name: 'Lantern',
    recipientId: 'packet',
    why: 'Frost split the block and no other can be had. Books weigh 700 kg and the ferry ramps are steep.',
    use: 'delivery',
    currency: 'EUR',
    taxRate: 0.21,
    labourRateMinor: 4800,
    contingency: 0,
    likeForLikeMinor: 295000,
    mustWork: ['brake-assist', 'gauges', 'heater', 'speedometer'],
    inspection: true,
    school: 'keep',
  })
  doc.add('pairing', {
    id: 'lantern-pairing',
    buildId: 'lantern',
    engineId: 'wick-2',
    transmissionId: 'marlund-4',
    chosen: true,
  })
  doc.add('pairingPart', {
    id: 'lantern-plate',
    pairingId: 'lantern-pairing',
    partId: 'plate-w2-12',
  })
  doc.add('pairing', {
    id: 'lantern-in-play',
    buildId: 'lantern',
    engineId: 'quill-late',
    transmissionId: 'sunagi-5',
    chosen: false,
  })
  const price = (needId: string, act: string, priceMinor: number, source: string): void =>
    void doc.add('decision', {
      id: `decision-${needId.replaceAll('/', '-')}`,
      buildId: 'lantern',
      needId,
      act,
      priceMinor,
      source,
    })
  price('clutch-pipe-hose-and-ends/coupling/main', 'estimate', 5200, 'Last two builds')
  price('registration-changed/papers/main', 'estimate', 9000, 'Registration office, by telephone')
}

/** Who works there, what they answered and heard, and a donor's sheet begun on a tablet. */
function people(doc: DocumentWriter): void {
  for (const [id, name, decimal] of [
    ['person-bram', 'Bram', 'comma'],
    ['person-ida', 'Ida', 'comma'],
    ['person-tove', 'Tove', 'ask'],
  ])
    doc.add('person', { id, name, decimal })
  const says = {
    'pilot-bore': 'yes',
    'crank-sensor': 'unknown',
    'sump-end': 'yes',
    rotation: 'yes',
    'starter-side': 'yes',
    papers: 'yes',
    law: 'unknown',
  }
  for (const [question, answer] of Object.entries(says))
    doc.add('jointClaim', {
      id: `stopper-${question}`,
      buildId: 'lantern',
      subject: 'stopper',
      question,
      says: answer,
      grade: 'heard',
      saidBy: 'Ida',
      day: '2026-10-02',
    })
  doc.add('jointClaim', {
    id: 'claim-club-van',
    subject: 'build',
    engineId: 'quill-late',
    transmissionId: 'marlund-4',
    says: 'yes',
    grade: 'heard',
    sentence: 'A van of the ferry club runs this pair.',
    source: 'Told at the ferry, a photo promised',
    saidBy: 'Tove',
    day: '2026-09-20',
    distanceKm: 41000,
    changes: 'Home-made plate, sump turned',
    known: 1,
  })
  const at = '2026-10-14T09:20:00.000Z'
  const answers: Record<string, string> = {
    'papers-in-hand': 'yes',
    'engine-number': 'WK2 0417 883',
    'number-agrees': 'yes',
    'why-sold': 'Frame failed inspection',
    'starts-cold': 'yes',
    'runs-even': 'yes',
    'oil-pressure': '1.4 bar',
    'gear-2': 'no',
    'hit-front': 'no',
    'hit-rear': 'yes',
    'dry-under': 'yes',
    'has:starter/face/main': 'no',
  }
  doc.add('donorSheet', {
    id: 'sheet-donor-1',
    buildId: 'lantern',
    donorId: 'donor-1',
    answers: Object.fromEntries(
      Object.entries(answers).map(([id, value]) => [id, { value, at, by: 'Bram' }]),
    ),
  })
}
