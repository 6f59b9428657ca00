/**
 * Driveline: road speed, crawl, Hooke joints, propshaft whirl, compound angles. Angles in degrees, lengths in mm outside,
 * metres and radians inside. Sources: Hooke joint kinematics and Euler–Bernoulli beam; working limits are common
 * practice, no published source.
 */
const RAD = Math.PI / 180
const MM = 1e-3
/** Young's modulus and density of steel tube, from memory. */
export const STEEL = { youngPa: 207e9, densityKgM3: 7850 } as const
/** Working speed over the first critical speed, at most. Common practice, no published source. */
export const CRITICAL_SHARE = 0.7

/** Speed over ground, km/h, by the loaded rolling circumference; slip is the converter's, 0 when locked or manual. */
export function roadSpeed(
  engineRpm: number,
  circumferenceMm: number,
  ratios: readonly number[],
  slip = 0,
): number {
  const total = ratios.reduce((product, ratio) => product * ratio, 1)
  return ((((engineRpm * (1 - slip)) / 60) * circumferenceMm * MM) / total) * 3.6
}

/** Gear × transfer × axle × hub. */
export const crawlRatio = (gear: number, transfer: number, axle: number, hub = 1): number =>
  gear * transfer * axle * hub

/** Greatest and least of output over input speed in one turn of a Hooke joint: 1/cos β and cos β. */
export function hookeSwing(angleDeg: number): {
  readonly greatest: number
  readonly least: number
} {
  const cos = Math.cos(angleDeg * RAD)
  return { greatest: 1 / cos, least: cos }
}

/** What two joints leave over: yokes in phase √|β1² − β2²|, a quarter turn out √(β1² + β2²). */
export const residualAngle = (firstDeg: number, secondDeg: number, inPhase: boolean): number =>
  inPhase ? Math.sqrt(Math.abs(firstDeg ** 2 - secondDeg ** 2)) : Math.hypot(firstDeg, secondDeg)

/** The joint angle of a shaft that runs off by one angle in side view and another in plan, exact by vectors. */
export function compoundAngle(sideDeg: number, planDeg: number): number {
  const rise = Math.tan(sideDeg * RAD)
  const run = Math.tan(planDeg * RAD)
  return Math.atan(Math.hypot(rise, run)) / RAD
}

/** First critical speed of a uniform tube on simple supports, rev/min: (π/2)·√(E·I/(m·L⁴))·60. */
export function criticalSpeed(
  outerMm: number,
  wallMm: number,
  lengthMm: number,
  { youngPa, densityKgM3 } = STEEL as { youngPa: number; densityKgM3: number },
): number {
  const outer = outerMm * MM
  const inner = (outerMm - 2 * wallMm) * MM
  const length = lengthMm * MM
  // I ÷ A of a tube is (D² + d²) ÷ 16.
  return (
    ((Math.PI / 2) *
      Math.sqrt((youngPa * (outer * outer + inner * inner)) / (16 * densityKgM3)) *
      60) /
    (length * length)
  )
}

/** The longest one-piece shaft that stays under its working share of the critical speed at a top shaft speed, mm. */
export function longestShaft(
  outerMm: number,
  wallMm: number,
  topRpm: number,
  share = CRITICAL_SHARE,
): number {
  const atOneMetre = criticalSpeed(outerMm, wallMm, 1000)
  return 1000 * Math.sqrt((share * atOneMetre) / topRpm)
}
