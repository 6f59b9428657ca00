/**
 * Unloaded diameter of a tyre from its marking, mm (ETRTO / TRA marking): rim + twice width × aspect.
 * A missing aspect (175R14) is read as 80, common practice, no published source.
 *
 * @throws RangeError when the marking cannot be read
 * @example tyreDiameter('205/55R16') // 631.9
 */
export function tyreDiameter(marking: string): number {
  const match = /^\s*(?:LT|P)?(\d{3})(?:\/(\d{2,3}))?\s*(?:Z?R|-|D|B)\s*(\d{2}(?:\.5)?)/i.exec(marking)
  if (!match) throw new RangeError(`"${marking}" is not a tyre marking. Type it as on the side wall, such as 205/65R15.`)
  const width = Number(match[1])
  const aspect = match[2] ? Number(match[2]) : 80
  return Number(match[3]) * 25.4 + 2 * width * (aspect / 100)
}

/** Turns per kilometre, unloaded (factor 1) or rolling under load. */
export const revsPerKm = (diameterMm: number, rollingFactor = 1): number => 1_000_000 / (Math.PI * diameterMm * rollingFactor)

/** Loaded rolling radius in mm; NaN when the marking cannot be read. */
export function loadedRadius(marking: string | null, rollingFactor: number): number {
  if (marking === null) return Number.NaN
  try {
    return (tyreDiameter(marking) / 2) * rollingFactor
  } catch {
    return Number.NaN
  }
}
