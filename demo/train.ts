import type { DocumentWriter } from './document.ts'
import { drilled, outlineOf, PATTERNS, type Pattern, tapped } from './patterns.ts'

interface Crank {
  readonly count: number
  readonly circleMm: number
  readonly registerMm: number
  readonly thread: string
}

export interface EngineOf {
  readonly id: string
  readonly name: string
  readonly years: readonly [number, number]
  readonly pattern: Pattern
  /** Flange proud of the block face, mm. */
  readonly flange: number
  readonly crank: Crank
  readonly torque: readonly [nm: number, rpm: number, redline: number]
  readonly size: readonly [length: number, height: number]
  readonly nose: number
  readonly ownerId?: string
  readonly separator?: number
  readonly automatic?: boolean
  readonly layout?: 'lengthwise' | 'crosswise'
  /** Pilot bore, mounts and sump left unmeasured. */
  readonly unmeasured?: boolean
  /** Where its crank sensor reads, and the teeth; a carburettor engine has none. */
  readonly sensor?: readonly [readsAt: string, teeth: number]
  /** Its mount pads: from the block face, below the crank, across. */
  readonly pads?: readonly [along: number, below: number, spread: number]
  /** Where its deep part starts and ends behind the block face, and how deep it is. */
  readonly pan?: readonly [from: number, to: number, depth: number]
}

const M10: Omit<Crank, 'count' | 'circleMm' | 'registerMm'> = { thread: 'M10x1.25' }

/** Where the shaft parts stand behind the flange in every invented gearbox, mm: so what is said to fit computes as fitting. */
const SHAFT = {
  mouthToBottom: 30.7,
  tip: -16.7,
  noseEnd: 3.3,
  splineStart: 17.3,
  splineEnd: 72.3,
  bearingGap: 2.8,
  pinion: 20.2,
}
const WHEEL = { clutchFace: 28, ringRear: 18, ringWidth: 10, holes: 10.2 }

const OIL = { wanted: 4, held: 4.2 }
/** Splines of every invented clutch and its shaft, as a shop says them; the disc's carrier and the bolt heads clear. */
const DISC = { splines: 23, hub: 25.65, shaft: 25.4, form: 'involute', carrier: 8, boltHead: 7 }

/** One starter pitch in every invented train. */
const RING = { teeth: 109, module: 2.54, pinionTeeth: 9, axis: 150.4 }
const LINING = { circle: 265, friction: 0.3, releaseLow: 5, releaseHigh: 9 }

/** A lining as its maker draws it, the friction with what it may be off by. */
export function liningOf(
  doc: DocumentWriter,
  part: string,
  sizes: { outerMm: number; innerMm: number },
): void {
  const face = doc.port(part, 'disc-face', 'main', sizes)
  doc.claim(face, 'friction', LINING.friction, 'maker', { plusMinus: 0.01 })
}

const even = (count: number): number[] => Array.from({ length: count }, (_, i) => (360 / count) * i)

/** Makes an engine with the coupling parts that came with it. */
export function engine(doc: DocumentWriter, e: EngineOf): void {
  doc.part(e.id, 'engine', e.name, { fromYear: e.years[0], toYear: e.years[1], ownerId: e.ownerId })
  doc.port(e.id, 'engine-output', 'main', {
    peakTorqueNm: e.torque[0],
    peakTorqueRpm: e.torque[1],
    redlineRpm: e.torque[2],
    oilL: OIL.wanted,
    turns: 'counter-clockwise',
  })
  doc.port(
    e.id,
    'face',
    'rear',
    { ...tapped(e.pattern), outline: outlineOf(e.pattern) },
    { looks: 'rearward' },
  )
  doc.port(e.id, 'crank-flange', 'main', {
    proudMm: e.flange,
    angles: even(e.crank.count),
    circleMm: e.crank.circleMm,
    thread: e.crank.thread,
    holeDepthMm: 20,
    registerMm: e.crank.registerMm,
    balance: 'zero',
  })
  doc.port(e.id, 'crank-sensor', 'main', {
    readsAt: e.sensor?.[0] ?? 'none',
    ...(e.sensor ? { teeth: e.sensor[1] } : {}),
  })
  doc.port(e.id, 'front-drive', 'main', {
    pumpWants: 'with the crank',
    pumpBelt: 'ribs',
    ...(e.sensor
      ? { fanWants: 'electric', fanBelt: 'motor' }
      : { fanWants: 'with the crank', fanBelt: 'ribs' }),
    alternatorWants: 'either',
    alternatorBelt: 'ribs',
  })
  doc.port(e.id, 'load-source', 'main', {
    cable: true,
    pullMm: e.automatic ? 42 : 36,
    vacuum: true,
    bus: false,
  })
  doc.port(
    e.id,
    'outline',
    'main',
    { layout: e.layout ?? 'lengthwise', lengthMm: e.size[0], heightMm: e.size[1] },
    { grade: 'catalogue' },
  )
  const bore = doc.port(
    e.id,
    'pilot-bore',
    'crank',
    e.automatic ? { finished: false } : { boreMm: 25, mouthMm: e.flange },
  )
  if (!e.unmeasured && !e.automatic) {
    doc.claim(bore, 'finished', true, 'maker')
    doc.claim(bore, 'bottomMm', Number((e.flange - SHAFT.mouthToBottom).toFixed(2)), 'maker')
  }
  const wheel = e.automatic ? 'flexplate' : 'flywheel'
  doc.part(`${e.id}-${wheel}`, wheel, `${e.name} ${wheel}`, { ownerId: e.id })
  doc.port(`${e.id}-${wheel}`, 'flywheel', 'main', {
    angles: even(e.crank.count),
    circleMm: e.crank.circleMm,
    holeMm: e.crank.thread.startsWith('M12') ? 12.2 : WHEEL.holes,
    registerMm: e.crank.registerMm + 0.02,
    outerMm: 282,
    balance: 'zero',
    ...(e.automatic ? {} : { clutchFaceMm: WHEEL.clutchFace }),
  })
  doc.port(`${e.id}-${wheel}`, 'flange-bolts', 'main', {
    thread: e.crank.thread,
    lengthMm: 25,
    clampedMm: 12,
    headMm: 17,
    headTallMm: DISC.boltHead,
  })
  doc.port(`${e.id}-${wheel}`, 'ring', 'main', {
    nearMm: WHEEL.ringRear,
    widthMm: WHEEL.ringWidth,
    teeth: RING.teeth,
    outerMm: RING.module * (RING.teeth + 2),
  })
  doc.port(`${e.id}-${wheel}`, 'trigger', 'main', {
    teeth: e.sensor?.[0].startsWith('wheel') ? e.sensor[1] : 0,
  })
  if (!e.automatic) {
    const circleMm = LINING.circle
    doc.port(`${e.id}-${wheel}`, 'clutch-seat', 'main', {
      circleMm,
      bolts: 6,
      thread: 'M8x1.25',
      dowelMm: 8,
      stepMm: 0,
      outerMm: circleMm - 33,
      innerMm: circleMm - 120,
    })
  }
  doc.port(`${e.id}-${wheel}`, 'ratings', 'speed', { speedRpm: e.torque[2] + 1200 })
  if (e.automatic) {
    doc.port(e.id, 'converter-bore', 'main', { boreMm: 42.05, depthMm: 20 })
    doc.port(`${e.id}-${wheel}`, 'flex-pads', 'main', {
      heightMm: 7.5,
      angles: even(3),
      circleMm: 250,
      holeMm: 10.4,
      thickMm: 3,
      boltThread: 'M10x1.5',
      boltMm: 14,
    })
  }
  seat(doc, e)
  if (e.separator) {
    doc.part(`${e.id}-separator`, 'separator', `${e.name} separator plate`, { ownerId: e.id })
    doc.port(`${e.id}-separator`, 'plate', 'main', { thicknessMm: e.separator })
  }
  if (!e.automatic) {
    doc.part(`${e.id}-pilot`, 'pilot', `${e.name} pilot bearing`, { ownerId: e.id })
    doc.port(`${e.id}-pilot`, 'pilot-piece', 'main', {
      type: 'bearing',
      outerMm: 25.018,
      boreMm: e.nose + 0.015,
      widthMm: 12,
      depthMm: 1,
    })
  }
}

/** How the engine sits, and its pan by zone. */
function seat(doc: DocumentWriter, { id, size, pads, pan }: EngineOf): void {
  if (pads)
    doc.port(
      id,
      'engine-pads',
      'main',
      { alongMm: pads[0], belowMm: pads[1], spreadMm: pads[2], angleDeg: 45, thread: 'M10x1.5' },
      { grade: 'measured', by: 'Bram', method: 'rule' },
    )
  if (!pan) return
  const [from, to, depth] = pan
  const zones = [
    { fromMm: -size[0], toMm: from, depthMm: 105 },
    { fromMm: from, toMm: to, depthMm: depth },
    { fromMm: to, toMm: 0, depthMm: 105 },
  ].filter((zone) => zone.toMm > zone.fromMm)
  const port = doc.port(id, 'sump', 'main', {
    dropMm: 50,
    coverMm: 70,
    pickupMm: 40,
    baffled: true,
    capacityL: OIL.held,
  })
  doc.claim(port, 'zones', zones, 'measured', { by: 'Bram', method: 'rule' })
}

export interface BoxOf {
  readonly id: string
  readonly name: string
  readonly pattern: Pattern
  /** Flange and plates of its original engine, mm. */
  readonly original: readonly [flange: number, plates: number]
  readonly nose: number
  readonly gears: readonly number[]
  readonly torqueNm: number
  readonly speedRpm: number
  readonly size: readonly [bell: number, length: number, height: number]
  /** Cover height over the clutch face, and disc hub from it, mm. */
  readonly clutch: readonly [fingers: number, hubStart: number, hubEnd: number]
  readonly ownerId?: string
  readonly automatic?: boolean
  /** Its mount pad: behind the bell face, below the shaft. */
  readonly mount?: readonly [along: number, below: number]
  /** Output joint and gear lever behind the bell face; splines of its slip yoke, with their Ø. */
  readonly output?: readonly [along: number, splines: number, major: number]
  readonly lever?: number
  /** Side of its starter, and whether a crank sensor has its seat in the bell. */
  readonly bell?: readonly [starter: 'left' | 'right', sensor: boolean]
  readonly perTurn?: number
  /** A transaxle: final drive, and its inner joints left and right of the crank axis. */
  readonly transaxle?: readonly [finalDrive: number, left: number, right: number, family: string]
  /** What goes into a transfer case: face pattern, splines, Ø, rear face and shaft end behind the bell face. */
  readonly caseEnd?: readonly [
    pattern: Pattern,
    splines: number,
    major: number,
    face: number,
    end: number,
  ]
  readonly takeOff?: {
    readonly family: string
    readonly side: string
    readonly moduleMm: number
    readonly turns: string
  }
}

/** A disc hub from the clutch face, with the splines of its shaft. */
export const discOf = (startMm: number, endMm: number) => ({
  startMm,
  endMm,
  splines: DISC.splines,
  majorMm: DISC.hub,
  form: DISC.form,
  marked: 'gearbox side',
  carrierMm: DISC.carrier,
})

/** Makes a gearbox with the clutch and starter that came with it. */
export function gearbox(doc: DocumentWriter, g: BoxOf): void {
  const [flange, plates] = g.original
  const behind = (place: number): number => Number((flange - plates + place).toFixed(2))
  doc.part(g.id, 'transmission', g.name, { ownerId: g.ownerId })
  doc.port(
    g.id,
    'face',
    'front',
    { ...drilled(g.pattern), mayTurn: false, outline: outlineOf(g.pattern) },
    { looks: 'forward' },
  )
  doc.port(g.id, 'ratios', 'main', {
    type: g.automatic ? 'automatic' : 'manual',
    gears: g.gears,
    turns: 'counter-clockwise',
    ...(g.automatic ? { stall: 2.1 } : {}),
    ...(g.transaxle ? { finalDrive: g.transaxle[0] } : {}),
  })
  doc.port(g.id, 'ratings', 'torque', {
    torqueNm: g.torqueNm,
    reference: g.automatic ? 'turbine' : 'engine',
    basis: 'nominal',
  })
  doc.port(g.id, 'ratings', 'speed', { speedRpm: g.speedRpm })
  doc.port(g.id, 'original-stack', 'main', { flangeMm: flange, platesMm: plates, spacersMm: 0 })
  doc.port(
    g.id,
    'outline',
    'main',
    { bellMm: g.size[0], lengthMm: g.size[1], heightMm: g.size[2] },
    { grade: 'catalogue' },
  )
  if (g.mount)
    doc.port(
      g.id,
      'mount-pad',
      'main',
      { alongMm: g.mount[0], belowMm: g.mount[1], spacingMm: 80, thread: 'M10x1.5' },
      { grade: 'measured', by: 'Bram', method: 'rule' },
    )
  doc.part(`${g.id}-starter`, 'starter', `${g.name} starter`, { ownerId: g.id })
  doc.port(`${g.id}-starter`, 'starter', 'main', {
    mount: 'bell',
    pinionMm: behind(SHAFT.pinion),
    throwMm: 12,
    way: 'forward',
    turns: 'counter-clockwise',
    teeth: RING.pinionTeeth,
    moduleMm: RING.module,
  })
  behindBell(doc, g)
  if (g.automatic) {
    doc.part(`${g.id}-converter`, 'converter', `${g.name} converter`, { ownerId: g.id })
    doc.port(`${g.id}-converter`, 'converter', 'main', {
      padAngles: even(3),
      padCircleMm: 250,
      padThread: 'M10x1.5',
      padDepthMm: 14,
      noseMm: 42,
      noseTipMm: -16,
      hubMm: 44.4,
      turbineSplines: 27,
      statorSplines: 30,
      stallRpm: 2000,
    })
    // Pull-up 2.5 mm against its own engine: X = f + h + 2.5.
    doc.port(g.id, 'pump', 'main', {
      padMm: flange + 7.5 + 2.5,
      padSpreadMm: 0.2,
      lugsMm: 14,
      bushMm: 44.45,
      turbineSplines: 27,
      statorSplines: 30,
    })
    return
  }
  doc.port(g.id, 'input-shaft', 'main', {
    noseMm: g.nose,
    tipMm: behind(SHAFT.tip),
    noseEndMm: behind(SHAFT.noseEnd),
    splines: DISC.splines,
    majorMm: DISC.shaft,
    form: DISC.form,
    splineStartMm: behind(SHAFT.splineStart),
    splineEndMm: behind(SHAFT.splineEnd),
  })
  doc.part(`${g.id}-cover`, 'cover', `${g.name} clutch cover`, { ownerId: g.id })
  doc.port(`${g.id}-cover`, 'cover-fingers', 'main', {
    heightMm: g.clutch[0],
    travelLowMm: LINING.releaseLow,
    travelHighMm: LINING.releaseHigh,
  })
  const { circle } = LINING
  const lining = { outerMm: circle - 40, innerMm: circle - 115 }
  // Clamps for a fifth more than the gearbox is rated for.
  const clampN = Math.round(
    (g.torqueNm * 1.25) / (2 * LINING.friction * ((lining.outerMm + lining.innerMm) / 4000)),
  )
  const mount = doc.port(`${g.id}-cover`, 'cover-mount', 'main', {
    circleMm: circle,
    bolts: 6,
    holeMm: 8.4,
    dowelMm: 8,
    stepMm: 0,
  })
  // The maker tests each: how far one may be off is on the drawing.
  doc.claim(mount, 'clampN', clampN, 'maker', { plusMinus: Math.round(clampN * 0.02) })
  doc.port(`${g.id}-cover`, 'ratings', 'torque', {
    torqueNm: Math.round(g.torqueNm * 1.15),
    reference: 'engine',
    basis: 'nominal',
    speedRpm: 7500,
  })
  doc.part(`${g.id}-disc`, 'disc', `${g.name} clutch disc`, { ownerId: g.id })
  doc.port(`${g.id}-disc`, 'disc-hub', 'main', discOf(g.clutch[1], g.clutch[2]))
  liningOf(doc, `${g.id}-disc`, lining)
  doc.part(`${g.id}-release-bearing`, 'release-bearing', `${g.name} release bearing`, {
    ownerId: g.id,
  })
  doc.port(`${g.id}-release-bearing`, 'release-bearing', 'main', {
    restMm: behind(WHEEL.clutchFace + g.clutch[0] + SHAFT.bearingGap),
    gapLowMm: 1.5,
    gapHighMm: 4,
  })
}

/** What stands on and behind the bell: starter seat, release, output, lever, speedometer drive, switches. */
function behindBell(doc: DocumentWriter, g: BoxOf): void {
  if (g.bell) {
    doc.port(
      g.id,
      'starter-seat',
      'bell',
      { side: g.bell[0], axisMm: RING.axis },
      { looks: 'forward' },
    )
    doc.port(g.id, 'sensor-seat', 'main', { drilled: g.bell[1] })
  }
  if (g.output) {
    const [alongMm, splines, majorMm] = g.output
    doc.port(
      g.id,
      'output',
      'main',
      { type: 'slip', splines, majorMm, alongMm, belowMm: 0, rightMm: 0 },
      { grade: 'measured', by: 'Bram', method: 'tape-shaft' },
    )
  }
  if (g.transaxle)
    doc.port(g.id, 'side-outputs', 'main', {
      family: g.transaxle[3],
      leftMm: g.transaxle[1],
      rightMm: g.transaxle[2],
    })
  if (g.caseEnd) {
    const [rear, splines, majorMm, faceMm, endMm] = g.caseEnd
    doc.port(g.id, 'face', 'rear', tapped(rear), { looks: 'rearward' })
    doc.port(g.id, 'case-shaft', 'main', { splines, majorMm, faceMm, endMm })
  }
  if (g.takeOff) doc.port(g.id, 'take-off-opening', 'main', g.takeOff)
  if (g.lever)
    doc.port(
      g.id,
      'lever',
      'main',
      { alongMm: g.lever, work: 'lever on the case', gate: 'as the vehicle' },
      { grade: 'measured', by: 'Bram', method: 'rule' },
    )
  if (g.perTurn) doc.port(g.id, 'speed-drive', 'main', { type: 'cable', perTurn: g.perTurn })
  doc.port(g.id, 'switches', 'main', {
    reverse: true,
    interlock: g.automatic ? 'neutral or park switch' : 'nothing',
  })
  if (g.automatic) doc.port(g.id, 'load-signal', 'main', { wants: 'cable', pullMm: 42 })
  else
    doc.port(g.id, 'release-gear', 'main', {
      type: 'fork',
      slaveMm: 20.64,
      innerMm: 0,
      strokeMm: 28,
      forkRatio: 1.8,
    })
}

/** Four engines in six year groups, four transmissions: each engine fits its own gearbox by its own numbers. */
export function trains(doc: DocumentWriter): void {
  engine(doc, {
    id: 'hob',
    name: 'Marlund Hob',
    years: [1974, 1983],
    pattern: PATTERNS.marlund,
    flange: 4.2,
    separator: 1.5,
    crank: { ...M10, count: 6, circleMm: 64, registerMm: 36 },
    torque: [118, 2800, 5200],
    size: [505, 585],
    nose: 15,
    ownerId: 'packet',
    pads: [-250, 40, 480],
    pan: [-190, -20, 190],
  })
  engine(doc, {
    id: 'wick-1',
    name: 'Kessarn Wick, 1st',
    years: [1984, 1990],
    pattern: PATTERNS.wickFirst,
    flange: 14.5,
    crank: { ...M10, count: 8, circleMm: 72, registerMm: 40 },
    torque: [158, 3000, 5800],
    size: [540, 610],
    nose: 15,
    pads: [-262, 46, 500],
    pan: [-320, -40, 195],
  })
  engine(doc, {
    id: 'wick-2',
    name: 'Kessarn Wick, 2nd',
    years: [1991, 1997],
    pattern: PATTERNS.wickSecond,
    flange: 14.7,
    crank: { ...M10, count: 8, circleMm: 72, registerMm: 40 },
    torque: [172, 3200, 6000],
    size: [540, 615],
    nose: 15,
    pads: [-265, 46, 500],
    pan: [-185, -30, 195],
    sensor: ['crank nose', 36],
  })
  engine(doc, {
    id: 'quill-early',
    name: 'Sunagi Quill, early',
    years: [1988, 1992],
    pattern: PATTERNS.quill,
    flange: 16.7,
    crank: { ...M10, count: 6, circleMm: 70, registerMm: 38 },
    torque: [151, 4000, 6400],
    size: [490, 600],
    nose: 17,
    sensor: ['wheel', 36],
    pads: [-238, 52, 520],
    pan: [-180, -25, 180],
  })
  engine(doc, {
    id: 'quill-late',
    name: 'Sunagi Quill, late',
    years: [1993, 1999],
    pattern: PATTERNS.quill,
    flange: 16.7,
    crank: { ...M10, count: 6, circleMm: 70, registerMm: 38 },
    torque: [163, 4200, 6600],
    size: [495, 620],
    nose: 17,
    sensor: ['wheel, from the bell', 60],
    unmeasured: true,
  })
  engine(doc, {
    id: 'anvil',
    name: 'Dovrek Anvil',
    years: [1990, 1998],
    pattern: PATTERNS.anvil,
    flange: 10,
    crank: { count: 8, circleMm: 92, registerMm: 50, thread: 'M12x1.25' },
    torque: [318, 2400, 4800],
    size: [720, 680],
    nose: 17,
    automatic: true,
    pads: [-330, 60, 560],
    pan: [-700, -420, 210],
  })
  gearbox(doc, {
    id: 'marlund-4',
    name: 'Marlund 4-speed',
    clutch: [52, -6, 18],
    pattern: PATTERNS.marlund,
    original: [4.2, 1.5],
    nose: 15,
    gears: [3.9, 2.26, 1.41, 1],
    torqueNm: 210,
    speedRpm: 6500,
    size: [165, 515, 310],
    ownerId: 'packet',
    mount: [500, 125],
    output: [700, 24, 32],
    lever: 520,
    bell: ['left', false],
    perTurn: 0.3,
  })
  gearbox(doc, {
    id: 'kessarn-5',
    name: 'Kessarn 5-speed',
    clutch: [54, -6.5, 19],
    pattern: PATTERNS.wickSecond,
    original: [14.7, 0],
    nose: 15,
    gears: [3.62, 2.08, 1.37, 1, 0.82],
    torqueNm: 240,
    speedRpm: 7000,
    size: [170, 590, 320],
    mount: [560, 128],
    output: [780, 26, 34],
    lever: 590,
    bell: ['left', false],
    perTurn: 0.28,
  })
  gearbox(doc, {
    id: 'sunagi-5',
    name: 'Sunagi 5-speed',
    clutch: [50.5, -5.4, 17.2],
    pattern: PATTERNS.quill,
    original: [16.7, 0],
    nose: 17,
    gears: [3.48, 2.01, 1.38, 1, 0.85],
    torqueNm: 205,
    speedRpm: 7200,
    size: [158, 560, 305],
    mount: [540, 120],
    output: [740, 25, 33],
    lever: 690,
    bell: ['right', true],
    perTurn: 0.31,
  })
  gearbox(doc, {
    id: 'dovrek-4a',
    name: 'Dovrek 4-automatic',
    clutch: [0, 0, 0],
    pattern: PATTERNS.anvil,
    original: [10, 0],
    nose: 17,
    gears: [2.74, 1.55, 1, 0.7],
    torqueNm: 720,
    speedRpm: 5600,
    size: [190, 690, 390],
    automatic: true,
    mount: [640, 150],
    output: [900, 30, 38],
    bell: ['right', false],
  })
}

/** Adapter plates, spacers and pilot pieces that somebody sells. */
export function adapters(doc: DocumentWriter): void {
  const plate = (
    id: string,
    name: string,
    thickness: number,
    front: Pattern,
    rear: Pattern,
    grade: 'maker' | 'catalogue',
    dowelled = true,
  ): void => {
    doc.part(id, 'plate', name)
    const source = grade === 'maker' ? 'Kit drawing' : 'Kit advert'
    doc.port(id, 'plate', 'main', { thicknessMm: thickness }, { grade, source })
    doc.port(
      id,
      'face',
      'front',
      dowelled ? drilled(front) : { holes: drilled(front).holes, dowels: [] },
      { looks: 'forward', grade, source },
    )
    doc.port(
      id,
      'face',
      'rear',
      dowelled ? tapped(rear) : { holes: tapped(rear).holes, dowels: [] },
      { looks: 'rearward', grade, source },
    )
  }
  plate(
    'plate-w2-12',
    'Tessil plate 12 mm, Wick 2nd to Marlund',
    12,
    PATTERNS.wickSecond,
    PATTERNS.marlund,
    'maker',
  )
  plate(
    'plate-w2-12b',
    'Brimble plate 12 mm, Wick 2nd to Marlund',
    12,
    PATTERNS.wickSecond,
    PATTERNS.marlund,
    'catalogue',
    false,
  )
  plate(
    'plate-w1-16',
    'Tessil plate 16 mm, Wick 1st to Marlund',
    16,
    PATTERNS.wickFirst,
    PATTERNS.marlund,
    'maker',
  )
  plate(
    'plate-q-14',
    'Tessil plate 14 mm, Quill to Marlund',
    14,
    PATTERNS.quill,
    PATTERNS.marlund,
    'maker',
  )
  for (const [id, mm] of [
    ['spacer-4', 4.2],
    ['spacer-8', 8.4],
  ] as const) {
    doc.part(id, 'spacer', `Tessil crank spacer ${mm} mm, Wick`)
    doc.port(id, 'spacer', 'main', { thicknessMm: mm }, { source: 'Kit drawing' })
    doc.port(
      id,
      'flywheel',
      'front',
      {
        angles: even(8),
        circleMm: 72,
        holeMm: 10.2,
        registerMm: 40.02,
        outerMm: 104,
        balance: 'zero',
      },
      { source: 'Kit drawing' },
    )
    doc.port(
      id,
      'crank-flange',
      'rear',
      { angles: even(8), circleMm: 72, thread: 'through', registerMm: 40, balance: 'zero' },
      { source: 'Kit drawing' },
    )
    doc.port(
      id,
      'flange-bolts',
      'main',
      { thread: 'M10x1.25', lengthMm: 25 + Math.ceil(mm), headMm: 17, headTallMm: DISC.boltHead },
      { source: 'Kit drawing' },
    )
  }
  for (const [id, name, bore] of [
    ['bush-15', 'Bronze pilot bush 25 on 15', 15.05],
    ['bush-17', 'Bronze pilot bush 25 on 17', 17.05],
  ] as const) {
    doc.part(id, 'pilot', name)
    doc.port(id, 'pilot-piece', 'main', {
      type: 'bush',
      outerMm: 25.02,
      boreMm: bore,
      widthMm: 14,
      depthMm: 1,
    })
  }
}
