/**
 * Unloaded diameter of a tyre from its marking, mm (ETRTO / TRA marking): rim + twice width × aspect.
 * A missing aspect (175R14) is read as 80, common practice, no published source.
 *
 * @throws RangeError when the marking cannot be read
 * @example tyreDiameter('205/55R16') // 631.9
 */
export function tyreDiameter(marking: string): number {
  const match = /^\s*(?:LT|P)?(\d{3})(?:\/(\d{2,3}))?\s*(?:Z?R|-|D|B)\s*(\d{2}(?:\.5)?)/i.exec(
    marking,
  )
  if (!match)
    throw new RangeError(
      `"${marking}" is not a tyre marking. Type it as on the side wall, such as 205/65R15.`,
    )
  const width = Number(match[1])
  const aspect = match[2] ? Number(match[2]) : 80
  return Number(match[3]) * 25.4 + 2 * width * (aspect / 100)
}

/** Turns per kilometre, unloaded (factor 1) or rolling under load. */
export const revsPerKm = (diameterMm: number, rollingFactor = 1): number =>
  1_000_000 / (Math.PI * diameterMm * rollingFactor)

/** Unloaded radius by marking, read once; NaN when it cannot be read. */
const radii = new Map<string, number>()
const MOST_MARKINGS = 10_000

function unloadedRadius(marking: string): number {
  let radius = radii.get(marking)
  if (radius === undefined) {
    try {
      radius = tyreDiameter(marking) / 2
    } catch {
      radius = Number.NaN
    }
    if (radii.size >= MOST_MARKINGS) radii.clear()
    radii.set(marking, radius)
  }
  return radius
}

/** Loaded rolling radius in mm; NaN when the marking cannot be read. */
export const loadedRadius = (marking: string | null, rollingFactor: number): number =>
  marking === null ? Number.NaN : unloadedRadius(marking) * rollingFactor
