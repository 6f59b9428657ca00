/** A mass with where its middle stands along the vehicle. */
export interface Mass {
  readonly kg: number
  /** Behind the radiator, mm. */
  readonly alongMm: number
}

/** Two axles, mm behind the radiator. */
export interface Axles {
  readonly frontMm: number
  readonly rearMm: number
}

/**
 * What masses put on each axle, kg: moments about the other axle, so that the two add up to the masses; ahead of the front
 * axle a mass lifts the rear.
 *
 * @throws RangeError where the rear axle is not behind the front one
 */
export function axleLoads(
  masses: readonly Mass[],
  { frontMm, rearMm }: Axles,
): { readonly frontKg: number; readonly rearKg: number } {
  if (!(rearMm > frontMm))
    throw new RangeError('The rear axle must stand behind the front one: measure both again.')
  const frontKg = masses.reduce(
    (sum, { kg, alongMm }) => sum + (kg * (rearMm - alongMm)) / (rearMm - frontMm),
    0,
  )
  return { frontKg, rearKg: masses.reduce((sum, { kg }) => sum + kg, 0) - frontKg }
}
