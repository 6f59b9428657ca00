/**
 * Clutch torque capacity and hydraulic release. Capacity by uniform wear (Shigley, Mechanical Engineering Design):
 * T = n·µ·F·(ro + ri)/2. Lengths in mm outside, metres inside.
 */
const MM = 1e-3
/** Friction faces of a single disc. */
export const FACES = 2

/** Torque a clutch holds, N·m; NaN when an input is. */
export const clutchCapacity = (
  clampN: number,
  friction: number,
  outerMm: number,
  innerMm: number,
  faces = FACES,
): number => faces * friction * clampN * (((outerMm + innerMm) / 4) * MM)

/** Area of a cylinder, or of the annulus of a slave round the shaft, mm². */
export const pistonArea = (outerMm: number, innerMm = 0): number =>
  (Math.PI / 4) * (outerMm ** 2 - innerMm ** 2)

/** Stroke of the slave for a stroke of the master, by volume, mm. */
export const slaveStroke = (
  masterStrokeMm: number,
  masterMm: number,
  slaveMm: number,
  innerMm = 0,
): number => masterStrokeMm * (pistonArea(masterMm) / pistonArea(slaveMm, innerMm))

/** Travel of the release bearing: pedal travel ÷ pedal ratio × area ratio ÷ fork ratio × what is not lost (0.8–0.9, common practice). */
export const releaseTravel = (
  pedalMm: number,
  pedalRatio: number,
  areaRatio: number,
  forkRatio: number,
  kept: number,
): number => ((pedalMm / pedalRatio) * areaRatio * kept) / forkRatio
