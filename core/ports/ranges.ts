/** What a figure of a part can be: between two ends, the least itself left out where it must be more, whole where it counts. */
export interface Range {
  readonly least: number
  readonly most: number
  readonly isAbove?: true
  readonly isWhole?: true
  /** What is seldom so though it can be: asked about where a person types it. */
  readonly usual?: { readonly least: number; readonly why: string }
}

/** More than nothing: diameters, thicknesses, ratings, ratios. */
const above = (most: number): Range => ({ least: 0, most, isAbove: true })
/** Nothing, or more: what a part may do without. */
const from0 = (most: number): Range => ({ least: 0, most })
/** Either way from where it is measured. */
const either = (most: number): Range => ({ least: -most, most })
/** How many, at least one; `none` where 0 says there are none. */
const count = (most: number): Range => ({ least: 1, most, isWhole: true })
const countOrNone = (most: number): Range => ({ least: 0, most, isWhole: true })

/** Plausible tops, mm: nothing of a road vehicle or tractor is larger. */
const SMALL = above(300)
const DISC = above(700)
/** A place along the train, from the face it is told from. */
const DEPTH = either(600)
const ALONG = either(4000)
const ASIDE = either(1500)
/** A place that stands behind what it is told from in nearly every vehicle. */
const behind = (why: string): Range => ({ ...ALONG, usual: { least: 0, why } })
const ROOM = above(3000)
const ANGLE = either(360)
const LEAN = either(90)
const SPEED = above(30_000)
const TORQUE = above(100_000)
const RATIO = above(30)
const SPLINES = count(80)

/**
 * The physical range of every figure a port kind holds, stored units. Outside it a value is refused where it enters; one
 * that is stored already is kept, marked and never used. Common practice, no published source.
 */
export const RANGES: Readonly<Record<string, Readonly<Record<string, Range>>>> = {
  'engine-output': {
    peakTorqueNm: TORQUE,
    peakTorqueRpm: SPEED,
    redlineRpm: SPEED,
    peakPowerKw: above(3000),
    peakPowerRpm: SPEED,
    curveRpm: SPEED,
    curveNm: TORQUE,
    oilL: above(100),
  },
  cylinders: {
    count: count(16),
    boreMm: SMALL,
    strokeMm: SMALL,
    spacingMm: SMALL,
    bankDeg: { least: 10, most: 180 },
    slantDeg: LEAN,
    deckMm: above(700),
    headMm: SMALL,
  },
  face: { registerMm: above(1000) },
  plate: { thicknessMm: above(400) },
  'crank-flange': {
    proudMm: DEPTH,
    angles: ANGLE,
    circleMm: DISC,
    holeDepthMm: SMALL,
    registerMm: DISC,
  },
  spacer: { thicknessMm: above(400) },
  flywheel: {
    angles: ANGLE,
    circleMm: DISC,
    holeMm: SMALL,
    registerMm: DISC,
    outerMm: DISC,
    clutchFaceMm: DEPTH,
  },
  'flange-bolts': {
    lengthMm: above(500),
    clampedMm: SMALL,
    headMm: SMALL,
    torqueNm: above(2000),
    angleDeg: from0(720),
    headTallMm: above(100),
  },
  ring: { nearMm: DEPTH, widthMm: above(100), teeth: count(400), outerMm: DISC },
  starter: {
    pinionMm: DEPTH,
    throwMm: above(100),
    teeth: count(40),
    moduleMm: above(12),
    outerMm: SMALL,
  },
  'pilot-bore': { boreMm: SMALL, mouthMm: DEPTH, bottomMm: DEPTH },
  'pilot-piece': { outerMm: SMALL, boreMm: SMALL, widthMm: SMALL, depthMm: either(300) },
  'input-shaft': {
    noseMm: SMALL,
    tipMm: DEPTH,
    noseEndMm: DEPTH,
    splines: SPLINES,
    majorMm: SMALL,
    splineStartMm: DEPTH,
    splineEndMm: DEPTH,
  },
  'disc-hub': {
    startMm: either(300),
    endMm: either(300),
    splines: SPLINES,
    majorMm: SMALL,
    carrierMm: either(200),
  },
  'cover-fingers': { heightMm: either(400), travelLowMm: above(60), travelHighMm: above(60) },
  'release-bearing': { restMm: DEPTH, gapLowMm: from0(50), gapHighMm: from0(50) },
  'converter-bore': { boreMm: SMALL, depthMm: above(400) },
  'flex-pads': {
    heightMm: either(300),
    angles: ANGLE,
    circleMm: DISC,
    holeMm: SMALL,
    thickMm: SMALL,
    boltMm: SMALL,
  },
  converter: {
    padAngles: ANGLE,
    padCircleMm: DISC,
    padDepthMm: SMALL,
    noseMm: SMALL,
    noseTipMm: DEPTH,
    hubMm: SMALL,
    turbineSplines: SPLINES,
    statorSplines: SPLINES,
    stallRpm: above(12_000),
  },
  pump: {
    padMm: DEPTH,
    padSpreadMm: from0(50),
    lugsMm: SMALL,
    bushMm: SMALL,
    turbineSplines: SPLINES,
    statorSplines: SPLINES,
  },
  ratios: { gears: either(30), finalDrive: RATIO, stall: { least: 1, most: 6 } },
  ratings: { torqueNm: TORQUE, speedRpm: SPEED },
  'original-stack': { flangeMm: DEPTH, platesMm: from0(400), spacersMm: from0(400) },
  axle: { ratio: RATIO, ladenKg: above(100_000), transferKg: from0(50_000) },
  tyre: { loadedMm: { least: 100, most: 1200 } },
  'engine-pads': {
    alongMm: ALONG,
    belowMm: ASIDE,
    spreadMm: ROOM,
    angleDeg: LEAN,
  },
  'chassis-pads': { crankAboveMm: ASIDE, spreadMm: ROOM, angleDeg: LEAN },
  bell: { lengthMm: above(800), restMm: above(800) },
  'mount-pad': {
    alongMm: behind('The pad would stand ahead of the bell face.'),
    belowMm: ASIDE,
    spacingMm: above(1500),
  },
  crossmember: { alongMm: ALONG, belowMm: ASIDE, spacingMm: above(1500), slotMm: from0(500) },
  sump: {
    zones: ALONG,
    dropMm: from0(500),
    capacityL: above(100),
    coverMm: from0(300),
    pickupMm: either(1000),
  },
  'under-engine': { zones: ALONG },
  'clutch-seat': {
    circleMm: DISC,
    bolts: count(40),
    dowelMm: from0(60),
    stepMm: either(200),
    outerMm: DISC,
    innerMm: DISC,
  },
  'cover-mount': {
    circleMm: DISC,
    bolts: count(40),
    holeMm: above(60),
    dowelMm: from0(60),
    stepMm: either(200),
    clampN: above(100_000),
  },
  'disc-face': { outerMm: DISC, innerMm: DISC, friction: above(1.5) },
  'clutch-pedal': { travelMm: above(400), ratio: above(20), masterMm: SMALL, strokeMm: SMALL },
  'release-gear': {
    slaveMm: SMALL,
    innerMm: from0(300),
    strokeMm: SMALL,
    forkRatio: above(10),
  },
  'starter-seat': { axisMm: above(700) },
  'crank-sensor': { teeth: count(1000) },
  trigger: { teeth: countOrNone(1000) },
  'case-shaft': {
    splines: SPLINES,
    majorMm: SMALL,
    faceMm: behind('The rear face would stand ahead of the bell face.'),
    endMm: behind('The shaft would end ahead of the bell face.'),
  },
  output: {
    splines: countOrNone(80),
    majorMm: from0(300),
    circleMm: from0(500),
    alongMm: behind('The output would stand ahead of its own front face.'),
    belowMm: ASIDE,
    rightMm: ASIDE,
  },
  propshaft: {
    splines: countOrNone(80),
    majorMm: from0(300),
    circleMm: from0(500),
    lengthMm: above(5000),
    slipMm: from0(500),
    tubeMm: SMALL,
    wallMm: above(50),
    yokeDeg: above(90),
  },
  pinion: {
    alongMm: {
      least: -6000,
      most: 6000,
      usual: {
        least: 0,
        why: 'The axle would stand ahead of the engine mounts, and of the output.',
      },
    },
    belowMm: ASIDE,
    rightMm: ASIDE,
    noseUpDeg: LEAN,
    travelMm: from0(500),
  },
  'transfer-input': { splines: SPLINES, majorMm: SMALL, depthMm: above(500), mostMm: above(600) },
  transfer: {
    frontRatio: above(5),
    low: above(10),
    dropMm: either(800),
    frontAlongMm: either(1500),
  },
  'front-axle': { ratio: RATIO, ladenKg: above(100_000) },
  'load-signal': { pullMm: above(300) },
  'load-source': { pullMm: above(300) },
  'take-off-opening': { moduleMm: above(20) },
  'take-off': { moduleMm: above(20), reachMm: above(1500), roomMm: from0(1500) },
  lever: { alongMm: behind('The lever would stand ahead of the bell face.') },
  'lever-opening': { fromMm: ALONG, toMm: ALONG },
  'speed-drive': { perTurn: above(200) },
  'speed-reader': { perKm: above(50_000) },
  'side-outputs': {
    leftMm: ASIDE,
    rightMm: ASIDE,
    alongMm: ASIDE,
    besideMm: either(800),
    belowMm: either(800),
  },
  'drive-shafts': {
    splines: SPLINES,
    hubSplines: SPLINES,
    leftMm: above(2500),
    rightMm: above(2500),
    hubLeftMm: ASIDE,
    hubRightMm: ASIDE,
    dropMm: ASIDE,
    plungeMm: from0(300),
    mostDeg: above(90),
  },
  'shaft-half': { lengthMm: above(4000), overlapLowMm: from0(1000), overlapHighMm: above(1000) },
  bay: {
    lengthMm: ROOM,
    widthMm: ROOM,
    heightMm: ROOM,
    boosterMm: ROOM,
    columnMm: ROOM,
  },
  'road-load': { dragM2: above(20), rolling: above(0.2), aboardKg: from0(20_000) },
  tunnel: { bellMm: ROOM, leverMm: ROOM, tailMm: ROOM, caseMm: ROOM, widthMm: ROOM },
  outline: {
    lengthMm: ROOM,
    heightMm: ROOM,
    widthMm: ROOM,
    bellMm: above(1000),
    blockFaceMm: ALONG,
    frontAxleMm: ALONG,
    firewallMm: ALONG,
    rearAxleMm: { least: -8000, most: 8000 },
    mountsMm: ALONG,
    noseMm: ALONG,
    tailMm: ALONG,
    roofMm: above(5000),
    crankMm: above(2500),
    coreMm: above(2000),
    frontTyreMm: above(3000),
  },
}

/** True where a figure, or every figure of a list, can be what a part has. Places and words are held by their own form. */
export function isPossible({ least, most, isAbove, isWhole }: Range, value: unknown): boolean {
  if (Array.isArray(value))
    return value.every((one) =>
      typeof one === 'number'
        ? one >= least && one <= most
        : one.fromMm < one.toMm &&
          [one.fromMm, one.toMm, one.depthMm, one.leftMm ?? 0, one.rightMm ?? 0].every(
            (edge: number) => edge >= least && edge <= most,
          ),
    )
  const v = value as number
  return (isAbove ? v > least : v >= least) && v <= most && (!isWhole || Number.isInteger(v))
}

/** Why a figure is unusual, in words; null where it is not. */
export const unusualWords = ({ usual }: Range, value: unknown): string | null =>
  usual && typeof value === 'number' && value < usual.least ? usual.why : null

/** The range in words, in the unit of the field. */
export function rangeWords({ least, most, isAbove, isWhole }: Range, unit: string): string {
  const u = unit === '' ? '' : ` ${unit}`
  return `${isWhole ? 'a whole number, ' : ''}${isAbove ? `more than ${least}` : `from ${least}`}${isAbove ? ', at most' : ' to'} ${most}${u}`
}
