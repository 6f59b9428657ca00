/** What is kept beside what moves in the tunnel, mm, 15 at the least (common practice, no published source). */
export const TUNNEL_WANTED_MM = 20
/** What is kept to what gets hot, mm (common practice, no published source). */
const HOT_MM = 25

/** One way the vehicle has room for the train, or not. */
export interface Room {
  readonly id: string
  readonly words: string
  /** Room there less what stands in it, mm; null where one of them is not measured. */
  readonly spareMm: number | null
  readonly wantedMm: number
}

/** Heights of a tunnel roof over the straight edge, and of the gearbox over its mount plane, by station. */
export type Stations = Readonly<Record<'bell' | 'lever' | 'tail' | 'case', number>>

/**
 * Room in tunnel and bay. Tunnel: roof over the straight edge across the mount pads, less the gearbox over the same plane, at
 * each station; the greatest shortfall is how far the train must drop or the body rise. Unknown is NaN, and stays unknown.
 */
export function roomOf(
  tunnel: Stations,
  gearbox: Stations,
  bay: {
    readonly length: number
    readonly width: number
    readonly height: number
    readonly booster: number
    readonly column: number
    readonly tunnel: number
  },
  engine: { readonly length: number; readonly width: number; readonly height: number },
  gearboxWidth = Number.NaN,
): { readonly rooms: Room[]; readonly dropMm: number | null } {
  const spare = (has: number, wants: number): number | null =>
    Number.isFinite(has - wants) ? has - wants : null
  const rooms: Room[] = (['bell', 'lever', 'tail', 'case'] as const).map((station) => ({
    id: `tunnel-${station}`,
    words: `Tunnel over the gearbox, at the ${station === 'case' ? 'transfer case' : station}`,
    spareMm: spare(tunnel[station], gearbox[station]),
    wantedMm: TUNNEL_WANTED_MM,
  }))
  const known = rooms.flatMap(({ spareMm }) => (spareMm === null ? [] : [spareMm]))
  const dropMm = known.length === 0 ? null : Math.max(0, TUNNEL_WANTED_MM - Math.min(...known))
  rooms.push(
    {
      id: 'bay-length',
      words: 'Bay, along, radiator to firewall',
      spareMm: spare(bay.length, engine.length),
      wantedMm: 60,
    },
    {
      id: 'bay-width',
      words: 'Bay, across, each side',
      spareMm: half(spare(bay.width, engine.width)),
      wantedMm: TUNNEL_WANTED_MM,
    },
    {
      id: 'booster',
      words: 'Brake booster beside the heads',
      spareMm: spare(bay.booster, engine.width / 2),
      wantedMm: TUNNEL_WANTED_MM,
    },
    {
      id: 'column',
      words: 'Steering shaft beside the engine',
      spareMm: spare(bay.column, engine.width / 2),
      wantedMm: HOT_MM,
    },
    {
      id: 'tunnel-width',
      words: 'Tunnel beside the gearbox, each side',
      spareMm: half(spare(bay.tunnel, gearboxWidth)),
      wantedMm: TUNNEL_WANTED_MM,
    },
    // The crank stands about a third up an engine: its height over the crank is not measured, so two thirds stand for it.
    {
      id: 'bay-height',
      words: 'Bonnet over the engine, by two thirds of its height',
      spareMm: spare(bay.height, (engine.height * 2) / 3),
      wantedMm: TUNNEL_WANTED_MM,
    },
  )
  return { rooms, dropMm }
}

const half = (mm: number | null): number | null => (mm === null ? null : mm / 2)
