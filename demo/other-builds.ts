import type { DocumentWriter } from './document.ts'

const tape = { grade: 'measured', by: 'Tove', method: 'tape-shaft' } as const
const rule = { grade: 'measured', by: 'Bram', method: 'rule' } as const

/** Alder: a 4×4 crew truck to a torquier six with automatic, its transfer case kept. Measured well under the middle, little in front. */
export function alder(doc: DocumentWriter): void {
  doc.part('hawser', 'vehicle', '1991 Dovrek Hawser crew truck', { fromYear: 1991, toYear: 1991 })
  doc.port('hawser', 'axle', 'rear', { ratio: 4.3, ladenKg: 1850, load: 'plate' })
  doc.port('hawser', 'tyre', 'rear', { marking: '235/85R16' }, { grade: 'measured', by: 'Tove' })
  doc.port('hawser', 'ratings', 'torque-axle', { torqueNm: 7800, reference: 'axle', basis: 'peak' })
  doc.port(
    'hawser',
    'outline',
    'main',
    {
      layout: 'lengthwise',
      blockFaceMm: 990,
      frontAxleMm: 480,
      firewallMm: 1120,
      rearAxleMm: 2950,
    },
    { grade: 'measured', by: 'Tove', method: 'tape-bay' },
  )
  doc.port(
    'hawser',
    'chassis-pads',
    'main',
    { crankAboveMm: 64, spreadMm: 560, angleDeg: 45, thread: 'M10x1.5', captive: true },
    rule,
  )
  doc.port(
    'hawser',
    'crossmember',
    'main',
    { alongMm: 1020, belowMm: 86, spacingMm: 80, slotMm: 10, thread: 'M10x1.5', mayMove: true },
    tape,
  )
  doc.port('hawser', 'front-axle', 'main', {
    side: 'left',
    turns: 'as the rear',
    ratio: 4.3,
    shift: 'lever',
    ladenKg: 1150,
  })
  doc.port('hawser', 'starter-room', 'main', { side: 'left' }, { grade: 'measured', by: 'Tove' })
  doc.port(
    'hawser',
    'pinion',
    'main',
    { alongMm: 2540, belowMm: 20, rightMm: 0, travelMm: 60, flange: 'flange 94' },
    tape,
  )
  doc.claim('hawser/pinion/main', 'noseUpDeg', 2.4, 'measured', { by: 'Tove', method: 'level' })
  doc.port(
    'hawser',
    'propshaft',
    'main',
    {
      type: 'flange',
      circleMm: 80,
      lengthMm: 1310,
      slipMm: 110,
      tubeMm: 88.9,
      wallMm: 1.65,
      yokeDeg: 25,
    },
    tape,
  )
  doc.port('hawser', 'take-off', 'main', {
    family: 'six bolt',
    side: 'left',
    moduleMm: 3.5,
    turns: 'with the engine',
    reachMm: 190,
  })
  doc.port('hawser', 'speed-reader', 'main', { type: 'cable', perKm: 470 })
  doc.port('hawser', 'switch-wants', 'main', { reverse: true, interlock: 'neutral or park switch' })
  doc.add('build', {
    id: 'alder',
    name: 'Alder',
    recipientId: 'hawser',
    why: 'Too weak with the crew and the winch aboard. The transfer case and its shafts are sound and stay.',
    use: 'towing',
    currency: 'EUR',
    taxRate: 0.21,
    labourRateMinor: 4800,
    contingency: 0,
    likeForLikeMinor: 410000,
    mustWork: ['air-conditioning', 'four-wheel-drive', 'power-take-off', 'speedometer'],
    inspection: true,
    school: 'keep',
  })
  doc.add('pairing', {
    id: 'alder-pairing',
    buildId: 'alder',
    engineId: 'maul-2',
    transmissionId: 'dovrek-4a-maul',
    chosen: true,
  })
  sheet(doc, 'alder', 'law', {
    'allowed:state': 'Asked',
    'allowed:date': '2026-10-20',
    'allowed:who': 'Inspecting office, by letter',
    'engineer:state': 'To ask',
    'emissions:state': 'Yes, in writing',
    'emissions:paper': 'Class letter, folder 3',
  })
  sheet(doc, 'alder', 'brief', {
    reason: 'Too weak',
    'tool:weld': 'yes',
    'tool:machine': 'no',
    'tool:hoist': 'yes',
    'target-nm': '450 N·m',
    'needed-daily': 'Weekdays; the old truck of the quarry stands in until March',
  })
}

/** Sprat: a crosswise coupé for rallycross, to a later generation of its own family. Hardly measured yet. */
export function sprat(doc: DocumentWriter): void {
  doc.part('whimbrel', 'vehicle', '1996 Obrelle Whimbrel coupé', { fromYear: 1996, toYear: 1996 })
  doc.port('whimbrel', 'axle', 'front', { ladenKg: 760 }, { grade: 'catalogue' })
  doc.port('whimbrel', 'tyre', 'front', { marking: '195/55R15' }, { grade: 'measured', by: 'Tove' })
  doc.port('whimbrel', 'outline', 'main', { layout: 'crosswise' }, { grade: 'catalogue' })
  doc.port('whimbrel', 'clutch-pedal', 'main', { travelMm: 132, ratio: 5.2 }, rule)
  doc.port(
    'whimbrel',
    'drive-shafts',
    'main',
    { family: 'tripod 26', splines: 25, hubSplines: 25, plungeMm: 18, mostDeg: 22 },
    { grade: 'catalogue' },
  )
  doc.port('whimbrel', 'switch-wants', 'main', { reverse: true, interlock: 'clutch switch' })
  doc.add('build', {
    id: 'sprat',
    name: 'Sprat',
    recipientId: 'whimbrel',
    why: 'Club rallycross, two litres at the most. The newer engine of the family has forty more horses and a throttle by wire.',
    use: 'track',
    currency: 'EUR',
    taxRate: 0.21,
    labourRateMinor: 4800,
    contingency: 0,
    mustWork: ['gauges'],
    school: 'keep',
  })
  doc.add('pairing', {
    id: 'sprat-pairing',
    buildId: 'sprat',
    engineId: 'tarn-3',
    transmissionId: 'obrelle-5x',
    chosen: true,
  })
  sheet(doc, 'sprat', 'brief', {
    reason: 'Too weak',
    uncut: 'yes',
    looks: 'It must work',
    'needed-daily': 'Never: it comes on a trailer',
  })
}

function sheet(
  doc: DocumentWriter,
  buildId: string,
  kind: string,
  answers: Record<string, string>,
): void {
  const at = '2026-10-21T18:30:00.000Z'
  doc.add('buildSheet', {
    id: `sheet-${buildId}-${kind}`,
    buildId,
    kind,
    answers: Object.fromEntries(
      Object.entries(answers).map(([id, value]) => [id, { value, at, by: 'Tove' }]),
    ),
  })
}
