/** Where along the train a piece that a joint asks for is listed: one place each, whichever rule asks. */
const PLACES: Readonly<Record<string, readonly string[]>> = {
  face: ['plate', 'spacer'],
  mounts: ['engine-mount', 'gearbox-mount'],
  bay: ['sump', 'fan', 'water-pump', 'alternator-pulley', 'belt'],
  driveline: [
    'propshaft',
    'drive-shaft',
    'coupling-shaft',
    'case-adapter',
    'axle-gears',
    'speed-converter',
    'lever-linkage',
  ],
  kept: ['take-off'],
}
const placeOfKind = new Map(
  Object.entries(PLACES).flatMap(([place, kinds]) => kinds.map((kind) => [kind, place] as const)),
)

/** The place of a piece; between engine and gearbox where no other is named. */
export const placeOf = (kind: string): string => placeOfKind.get(kind) ?? 'coupling'
