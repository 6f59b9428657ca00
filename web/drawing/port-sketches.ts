import type { PortKindName } from '../../core/ports/index.ts'

/** From, to, and where the field sits where that is not the middle of the line. */
type Placed =
  | readonly [number, number, number, number]
  | readonly [number, number, number, number, number, number]

/** A section through one port, 100 wide and 60 high, engine to the left, not to scale: what is drawn, and where each length is taken. */
export interface PortSketch {
  /** Outlines of what is measured. */
  readonly body: string
  /** Axes, and the face it is measured from. */
  readonly datum: string
  readonly lengths: Readonly<Record<string, Placed>>
}

const AXIS = 'M4 30H96'

/** How the ports that have lengths are drawn. */
export const PORT_SKETCHES: Readonly<Partial<Record<PortKindName, PortSketch>>> = {
  face: {
    body: 'M18 44C10 12 34 4 50 4S90 12 82 44C78 56 22 56 18 44ZM38 30A12 12 0 1 1 62 30A12 12 0 1 1 38 30Z',
    datum: `${AXIS}M50 2V58`,
    lengths: { registerMm: [38, 30, 62, 30] },
  },
  bell: {
    body: 'M22 6V54L78 44V16Z',
    datum: AXIS,
    lengths: { lengthMm: [22, 56, 78, 56, 50, 55], restMm: [22, 36, 56, 36, 40, 24] },
  },
  plate: {
    body: 'M45 6H55V54H45Z',
    datum: AXIS,
    lengths: { thicknessMm: [45, 20, 55, 20, 72, 20] },
  },
  spacer: {
    body: 'M44 14H56V46H44Z',
    datum: AXIS,
    lengths: { thicknessMm: [44, 20, 56, 20, 74, 20] },
  },
  cylinders: {
    body: 'M16 4H84V14H16ZM20 14H80V40H20ZM26 14H44V36H26ZM56 14H74V36H56ZM24 40H76V54H24Z',
    datum: 'M4 46H96M35 2V58',
    lengths: {
      boreMm: [26, 18, 44, 18, 35, 18],
      strokeMm: [35, 22, 35, 36, 35, 31],
      spacingMm: [35, 26, 65, 26, 62, 26],
      deckMm: [90, 14, 90, 46, 89, 30],
      headMm: [10, 4, 10, 14, 11, 9],
    },
  },
  'crank-flange': {
    body: 'M0 22H24V9H38V23H43V37H38V51H24V38H0ZM26 15H38M26 45H38',
    datum: `${AXIS}M31 2V58`,
    lengths: {
      proudMm: [31, 5, 38, 5, 52, 5],
      holeDepthMm: [26, 15, 38, 15, 13, 12],
      registerMm: [52, 23, 52, 37, 58, 30],
      circleMm: [80, 15, 80, 45, 84, 30],
    },
  },
  flywheel: {
    body: 'M40 5H52V55H40V37H46V23H40ZM40 15H52M40 45H52',
    datum: `${AXIS}M40 2V58`,
    lengths: {
      clutchFaceMm: [40, 3, 52, 3, 66, 4],
      registerMm: [34, 23, 34, 37, 26, 30],
      holeMm: [46, 13, 46, 17, 66, 15],
      circleMm: [64, 15, 64, 45, 64, 30],
      outerMm: [88, 5, 88, 55, 88, 30],
    },
  },
  'flange-bolts': {
    body: 'M30 18H40V42H30ZM40 25H84V35H40ZM44 6H56V25H44ZM56 35H66V54H56Z',
    datum: 'M20 30H92',
    lengths: {
      headTallMm: [30, 14, 40, 14, 20, 12],
      headMm: [26, 18, 26, 42, 14, 30],
      lengthMm: [40, 54, 84, 54, 76, 52],
      clampedMm: [44, 10, 66, 10, 76, 10],
    },
  },
  ring: {
    body: 'M46 6H56V14H46ZM46 46H56V54H46ZM49 14H53V46H49Z',
    datum: `${AXIS}M36 2V58`,
    lengths: {
      nearMm: [36, 18, 46, 18, 22, 18],
      widthMm: [46, 4, 56, 4, 72, 5],
      outerMm: [80, 6, 80, 54, 80, 30],
    },
  },
  starter: {
    body: 'M58 18H92V42H58ZM54 10H58V50H54ZM36 26H54V34H36ZM24 22H36V38H24Z',
    datum: `${AXIS}M54 2V58`,
    lengths: {
      pinionMm: [24, 8, 54, 8, 38, 8],
      throwMm: [10, 46, 24, 46, 16, 52],
      outerMm: [16, 22, 16, 38, 13, 30],
    },
  },
  'pilot-bore': {
    body: 'M0 14H72V22H66L64 20H30V40H64L66 38H72V46H0',
    datum: `${AXIS}M72 2V58`,
    lengths: {
      mouthMm: [64, 12, 72, 12, 84, 12],
      bottomMm: [30, 52, 72, 52, 50, 52],
      boreMm: [44, 20, 44, 40, 44, 30],
    },
  },
  'pilot-piece': {
    body: 'M36 12H62V22H36ZM36 38H62V48H36Z',
    datum: `${AXIS}M72 2V58`,
    lengths: {
      widthMm: [36, 8, 62, 8, 46, 6],
      depthMm: [62, 16, 72, 16, 86, 16],
      boreMm: [49, 22, 49, 38, 49, 30],
      outerMm: [20, 12, 20, 48, 18, 30],
    },
  },
  'input-shaft': {
    body: 'M14 26H28V34H14ZM28 23H36V37H28ZM36 20H70V40H36ZM70 23H98V37H70Z',
    datum: `${AXIS}M80 2V58`,
    lengths: {
      tipMm: [14, 5, 80, 5, 30, 5],
      noseEndMm: [28, 14, 80, 14, 56, 12],
      noseMm: [8, 26, 8, 34, 12, 20],
      splineStartMm: [36, 47, 80, 47, 46, 46],
      splineEndMm: [70, 54, 80, 54, 72, 55],
      majorMm: [60, 20, 60, 40, 58, 30],
    },
  },
  'disc-hub': {
    body: 'M38 6H44V22H38ZM38 38H44V54H38ZM30 22H66V27H30ZM30 33H66V38H30ZM34 14H38V22H34Z',
    datum: `${AXIS}M38 2V58`,
    lengths: {
      startMm: [30, 44, 38, 44, 18, 44],
      endMm: [38, 48, 66, 48, 60, 48],
      carrierMm: [34, 11, 38, 11, 20, 11],
      majorMm: [76, 27, 76, 33, 80, 30],
    },
  },
  'cover-fingers': {
    body: 'M30 8H38V52H30ZM38 10L58 12L64 26L60 27L54 16H38ZM38 50L58 48L64 34L60 33L54 44H38Z',
    datum: `${AXIS}M38 2V58`,
    lengths: { heightMm: [38, 5, 64, 5, 52, 5] },
  },
  'release-bearing': {
    body: 'M44 18H54V42H44ZM54 23H70V37H54ZM80 6H92V54H80Z',
    datum: `${AXIS}M18 2V58`,
    lengths: { restMm: [18, 12, 44, 12, 31, 12] },
  },
  'converter-bore': {
    body: 'M0 12H72V22H34V38H72V48H0',
    datum: `${AXIS}M72 2V58`,
    lengths: { depthMm: [34, 53, 72, 53, 52, 53], boreMm: [48, 22, 48, 38, 48, 30] },
  },
  'flex-pads': {
    body: 'M34 20H38V40H34ZM38 22L54 10V4H58V10L42 24V36L58 50V56H54V50L38 38M50 6H64V9H50Z',
    datum: `${AXIS}M34 2V58`,
    lengths: {
      heightMm: [34, 15, 58, 15, 20, 15],
      thickMm: [54, 52, 58, 52, 74, 53],
      holeMm: [58, 4, 58, 10, 76, 16],
      circleMm: [86, 7, 86, 53, 86, 34],
      boltMm: [50, 3, 64, 3, 80, 5],
    },
  },
  converter: {
    body: 'M24 25H36V35H24ZM36 8H42V52H36ZM42 10C62 4 76 8 76 18V42C76 52 62 56 42 50ZM76 24H94V36H76ZM36 13H46M36 47H46',
    datum: `${AXIS}M36 2V58`,
    lengths: {
      noseTipMm: [24, 44, 36, 44, 16, 44],
      noseMm: [18, 25, 18, 35, 13, 30],
      padDepthMm: [36, 13, 46, 13, 62, 16],
      padCircleMm: [56, 13, 56, 47, 56, 30],
      hubMm: [88, 24, 88, 36, 88, 30],
    },
  },
  pump: {
    body: 'M14 14H22V46H14ZM22 12C40 6 52 12 52 20V40C52 48 40 54 22 48ZM52 24H72V36H52ZM66 8H92V22H66ZM66 38H92V52H66Z',
    datum: `${AXIS}M34 2V58`,
    lengths: {
      padMm: [14, 5, 34, 5, 18, 5],
      padSpreadMm: [10, 14, 10, 46, 13, 52],
      lugsMm: [66, 40, 72, 40, 54, 52],
      bushMm: [80, 22, 80, 38, 82, 30],
    },
  },
  'original-stack': {
    body: 'M0 8H30V52H0ZM30 22H40V38H30ZM40 24H46V36H40ZM30 8H36V16H30ZM30 44H36V52H30Z',
    datum: `${AXIS}M30 2V58`,
    lengths: {
      flangeMm: [30, 26, 40, 26, 64, 24],
      spacersMm: [40, 34, 46, 34, 64, 36],
      platesMm: [30, 12, 36, 12, 52, 12],
    },
  },
  'engine-pads': {
    body: 'M20 8H70V42H20ZM36 42H52V48H36ZM70 4H74V46H70Z',
    datum: 'M4 26H96M70 2V58',
    lengths: {
      alongMm: [44, 54, 70, 54, 62, 55],
      belowMm: [26, 26, 26, 48, 18, 40],
      angleDeg: [36, 50, 52, 48, 32, 55],
      spreadMm: [36, 45, 52, 45, 86, 45],
    },
  },
  'mount-pad': {
    body: 'M10 8H16V52H10ZM16 18H74V44H16ZM54 44H68V48H54Z',
    datum: 'M4 28H96M10 2V58',
    lengths: {
      alongMm: [10, 55, 61, 55, 36, 55],
      belowMm: [82, 28, 82, 48, 84, 38],
      spacingMm: [54, 51, 68, 51, 74, 54],
    },
  },
  sump: {
    body: 'M12 10H88V22H62L54 46H20L12 22ZM34 34H44V40H34ZM38 10V34',
    datum: 'M4 10H96M20 30H56',
    lengths: {
      dropMm: [72, 10, 72, 40, 78, 32],
      coverMm: [48, 30, 48, 40, 60, 52],
      pickupMm: [36, 50, 39, 50, 26, 53],
    },
  },
  'clutch-seat': {
    body: 'M36 4H50V18H46V24H36ZM36 56H50V42H46V36H36ZM44 8H54V11H44Z',
    datum: `${AXIS}M46 2V58`,
    lengths: {
      stepMm: [46, 14, 50, 14, 34, 14],
      dowelMm: [54, 8, 54, 11, 66, 8],
      circleMm: [62, 9, 62, 51, 62, 43],
      innerMm: [38, 24, 38, 36, 36, 30],
      outerMm: [82, 18, 82, 42, 84, 30],
    },
  },
  'cover-mount': {
    body: 'M36 4H40V16H36ZM36 44H40V56H36ZM40 10L60 14V46L40 50',
    datum: `${AXIS}M30 2V58`,
    lengths: {
      stepMm: [30, 20, 36, 20, 18, 20],
      holeMm: [40, 6, 40, 10, 56, 7],
      dowelMm: [40, 51, 40, 54, 56, 53],
      circleMm: [78, 8, 78, 52, 80, 30],
    },
  },
  'disc-face': {
    body: 'M42 6H50V20H42ZM42 40H50V54H42ZM44 20H48V40H44Z',
    datum: AXIS,
    lengths: { innerMm: [30, 20, 30, 40, 26, 30], outerMm: [70, 6, 70, 54, 74, 30] },
  },
  'clutch-pedal': {
    body: 'M66 4L46 42L40 40L60 4ZM36 40L48 46L46 50L34 44ZM52 24H84V32H52Z',
    datum: 'M20 56H60',
    lengths: {
      travelMm: [40, 46, 28, 56, 18, 46],
      strokeMm: [56, 36, 72, 36, 76, 40],
      masterMm: [78, 24, 78, 32, 84, 20],
    },
  },
  'release-gear': {
    body: 'M20 16H52V24H20ZM20 36H52V44H20ZM52 18H66V42H52ZM20 26H80V34H20Z',
    datum: AXIS,
    lengths: {
      slaveMm: [34, 16, 34, 44, 32, 52],
      innerMm: [80, 26, 80, 34, 86, 30],
      strokeMm: [66, 12, 82, 12, 76, 10],
    },
  },
  'starter-seat': {
    body: 'M10 30A26 26 0 1 1 62 30A26 26 0 1 1 10 30ZM66 16A8 8 0 1 1 82 16A8 8 0 1 1 66 16Z',
    datum: 'M36 2V58M4 30H68M74 4V28',
    lengths: { axisMm: [36, 30, 74, 16, 56, 23] },
  },
  'case-shaft': {
    body: 'M10 8H16V52H10ZM16 14H62V46H16ZM62 24H84V36H62Z',
    datum: `${AXIS}M10 2V58`,
    lengths: {
      faceMm: [10, 52, 62, 52, 34, 54],
      endMm: [10, 6, 84, 6, 40, 5],
      majorMm: [90, 24, 90, 36, 86, 20],
    },
  },
  output: {
    body: 'M10 8H16V48H10ZM16 16H64V44H16ZM64 30H76V42H64ZM76 26H80V46H76Z',
    datum: 'M4 22H96M10 2V58M60 36H96',
    lengths: {
      alongMm: [10, 55, 86, 55, 44, 55],
      belowMm: [48, 22, 48, 36, 42, 32],
      rightMm: [90, 22, 90, 36, 86, 16],
      majorMm: [70, 30, 70, 42, 62, 46],
      circleMm: [84, 27, 84, 45, 86, 42],
    },
  },
  propshaft: {
    body: 'M6 24H14V36H6ZM14 26H28V34H14ZM28 22H84V38H28ZM84 24H94V36H84Z',
    datum: AXIS,
    lengths: {
      lengthMm: [10, 12, 90, 12, 50, 12],
      slipMm: [14, 42, 28, 42, 26, 46],
      tubeMm: [58, 22, 58, 38, 58, 30],
      wallMm: [74, 22, 74, 24, 78, 20],
      majorMm: [28, 26, 28, 34, 24, 22],
      circleMm: [4, 24, 4, 36, 12, 56],
    },
  },
  'transfer-input': {
    body: 'M20 10H26V50H20ZM26 14H84V46H26ZM26 24H60V36H26Z',
    datum: `${AXIS}M20 2V58`,
    lengths: {
      depthMm: [20, 53, 60, 53, 44, 54],
      mostMm: [20, 7, 76, 7, 50, 6],
      majorMm: [44, 24, 44, 36, 44, 30],
    },
  },
  lever: {
    body: 'M10 10H16V50H10ZM16 20H80V44H16ZM54 20L58 4H62L60 20Z',
    datum: 'M4 32H96M10 2V58',
    lengths: { alongMm: [10, 54, 57, 54, 34, 54] },
  },
  'take-off': {
    body: 'M20 24H70V50H20ZM34 14A9 9 0 1 1 52 14A9 9 0 1 1 34 14Z',
    datum: 'M4 24H96',
    lengths: { reachMm: [60, 5, 60, 24, 70, 12], roomMm: [84, 24, 84, 50, 86, 38] },
  },
  transfer: {
    body: 'M28 8H56V24H72V32H56V50H44V58H24V42H28Z',
    datum: 'M4 20H96M28 2V58',
    lengths: { dropMm: [84, 20, 84, 50, 84, 34], frontAlongMm: [28, 54, 14, 54, 14, 54] },
  },
  'side-outputs': {
    body: 'M30 14H70V46H30ZM20 32H30V40H20ZM70 32H80V40H70Z',
    datum: 'M4 24H96M50 2V58M84 6V54',
    lengths: {
      leftMm: [20, 8, 50, 8, 30, 8],
      rightMm: [50, 8, 80, 8, 70, 8],
      alongMm: [50, 52, 84, 52, 68, 52],
      besideMm: [16, 24, 16, 36, 14, 30],
      belowMm: [86, 24, 86, 36, 88, 30],
    },
  },
  'drive-shafts': {
    body: 'M8 18H14V38H8ZM14 26H38V30H14ZM38 22H44V34H38ZM56 22H62V34H56ZM62 26H86V30H62ZM86 18H92V38H86Z',
    datum: 'M4 28H96M50 2V58',
    lengths: {
      leftMm: [11, 14, 41, 14, 24, 14],
      rightMm: [59, 14, 89, 14, 76, 14],
      hubLeftMm: [11, 46, 50, 46, 30, 46],
      hubRightMm: [50, 46, 89, 46, 72, 46],
      dropMm: [92, 24, 92, 28, 86, 55],
      plungeMm: [36, 24, 46, 24, 50, 36],
    },
  },
  'shaft-half': {
    body: 'M6 20H16V40H6ZM16 26H66V34H16ZM56 22H92V26H56ZM56 34H92V38H56Z',
    datum: AXIS,
    lengths: {
      lengthMm: [11, 10, 66, 10, 40, 10],
      overlapLowMm: [56, 44, 66, 44, 48, 46],
      overlapHighMm: [56, 54, 84, 54, 78, 54],
    },
  },
  tyre: {
    body: 'M20 28A28 26 0 1 1 76 28A28 26 0 1 1 20 28ZM40 28A8 8 0 1 1 56 28A8 8 0 1 1 40 28Z',
    datum: 'M4 52H96M48 2V58',
    lengths: { loadedMm: [48, 28, 48, 52, 48, 41] },
  },
}
