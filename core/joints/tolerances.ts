/** Named windows and margins of the shop, stored units. All common practice, no published source, unless said; editable. */
export const TOLERANCES = {
  axisOffsetFitsMm: { value: 0.125, words: 'Crank to shaft axis, good', unit: 'mm' },
  axisOffsetWorkMm: { value: 0.5, words: 'Crank to shaft axis, offset dowels reach', unit: 'mm' },
  turnDeg: { value: 0.5, words: 'Case turn that counts as none', unit: '°' },
  boltShare: { value: 0.6, words: 'Least share of bell bolts that meet', unit: '' },
  dowelPlayMm: { value: 0.125, words: 'Dowel play that still locates', unit: 'mm' },
  circleMm: { value: 0.1, words: 'Bolt circles may differ by', unit: 'mm' },
  registerMaxMm: { value: 0.05, words: 'Greatest register clearance', unit: 'mm' },
  headEdgeMm: { value: 0.5, words: 'Metal beyond the bolt head', unit: 'mm' },
  boltEndMm: { value: 1, words: 'Bolt end clear of the bottom', unit: 'mm' },
  tipClearMm: { value: 3, words: 'Shaft tip clear of the pilot bottom', unit: 'mm' },
  noseEngageMm: { value: 8, words: 'Nose engagement wanted at most', unit: 'mm' },
  shoulderClearMm: { value: 0.5, words: 'Shaft shoulder clear of the pilot', unit: 'mm' },
  hubTravelMm: { value: 2, words: 'Disc hub travel either way', unit: 'mm' },
  starterGapLowMm: { value: 1.5, words: 'Least starter rest gap', unit: 'mm' },
  starterGapHighMm: { value: 3, words: 'Greatest starter rest gap', unit: 'mm' },
  starterOverlap: { value: 2 / 3, words: 'Least share of the ring in mesh', unit: '' },
  pullUpLowMm: { value: 1.5, words: 'Least converter pull-up', unit: 'mm' },
  pullUpHighMm: { value: 5, words: 'Greatest converter pull-up', unit: 'mm' },
  bearingClearMm: { value: 0.03, words: 'Nose in a bearing, greatest clearance', unit: 'mm' },
  bushClearLowMm: { value: 0.03, words: 'Nose in a bush, least clearance', unit: 'mm' },
  bushClearHighMm: { value: 0.08, words: 'Nose in a bush, greatest clearance', unit: 'mm' },
  pressLowMm: { value: 0.001, words: 'Pilot piece in its bore, least interference', unit: 'mm' },
  pressHighMm: { value: 0.035, words: 'Pilot piece in its bore, greatest interference', unit: 'mm' },
  useRoad: { value: 1.5, words: 'Torque factor, delivery or road', unit: '' },
  useTowing: { value: 2, words: 'Torque factor, towing', unit: '' },
  useTrail: { value: 2.5, words: 'Torque factor, trail or track', unit: '' },
  useUnstated: { value: 2, words: 'Torque factor, use not stated', unit: '' },
  friction: { value: 1, words: 'Tyre grip, µ', unit: '' },
  rollingFactor: { value: 0.97, words: 'Loaded rolling circumference', unit: '' },
} as const satisfies Record<string, { value: number; words: string; unit: string }>

export type ToleranceName = keyof typeof TOLERANCES
export type Tolerances = Readonly<Record<ToleranceName, number>>

/** The shop's tolerances: the defaults with its own edits over them. */
export function tolerances(edits: Partial<Record<string, number>> = {}): Tolerances {
  const named = Object.entries(TOLERANCES).map(([name, { value }]) => [name, edits[name] ?? value])
  return Object.freeze(Object.fromEntries(named) as Record<ToleranceName, number>)
}
