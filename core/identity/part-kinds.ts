/** Kinds of part, in order along the build: the word, the group it is listed under, and the ports it is typed with (`kind/slot/looks`). */
export const PART_KINDS = {
  engine: {
    words: 'Engine',
    group: 'Engine',
    ports: ['engine-output/main', 'face/rear/rearward', 'crank-flange/main', 'pilot-bore/crank', 'converter-bore/main', 'engine-pads/main', 'sump/main', 'outline/main'],
  },
  transmission: {
    words: 'Transmission',
    group: 'Transmission',
    ports: ['face/front/forward', 'input-shaft/main', 'ratios/main', 'ratings/torque', 'ratings/speed', 'original-stack/main', 'pump/main', 'mount-pad/main', 'outline/main'],
  },
  'transfer-case': { words: 'Transfer case', group: 'Mounts and driveline', ports: ['ratings/torque', 'outline/main'] },
  vehicle: {
    words: 'Vehicle',
    group: 'Vehicle',
    ports: ['axle/main', 'tyre/main', 'ratings/torque-axle', 'chassis-pads/main', 'crossmember/main', 'under-engine/main', 'outline/main'],
  },
  plate: { words: 'Adapter plate', group: 'Face, crank, depth', ports: ['plate/main', 'face/front/forward', 'face/rear/rearward'] },
  separator: { words: 'Separator plate', group: 'Face, crank, depth', ports: ['plate/main', 'face/front/forward', 'face/rear/rearward'] },
  spacer: { words: 'Crank spacer', group: 'Face, crank, depth', ports: ['spacer/main', 'flywheel/front', 'crank-flange/rear', 'flange-bolts/main'] },
  flywheel: { words: 'Flywheel', group: 'Face, crank, depth', ports: ['flywheel/main', 'flange-bolts/main', 'ring/main', 'ratings/speed'] },
  flexplate: { words: 'Flexplate', group: 'Face, crank, depth', ports: ['flywheel/main', 'flange-bolts/main', 'ring/main', 'flex-pads/main', 'ratings/speed'] },
  pilot: { words: 'Pilot bearing or bush', group: 'Face, crank, depth', ports: ['pilot-piece/main'] },
  dowel: { words: 'Dowel', group: 'Face, crank, depth', ports: [] },
  'bell-bolt': { words: 'Bell bolt', group: 'Face, crank, depth', ports: ['flange-bolts/main'] },
  'odd-bell-bolt': { words: 'Odd bell bolts', group: 'Face, crank, depth', ports: [] },
  'flange-bolt': { words: 'Flange bolt', group: 'Face, crank, depth', ports: ['flange-bolts/main'] },
  cover: { words: 'Clutch cover', group: 'Clutch and converter', ports: ['cover-fingers/main', 'ratings/torque'] },
  disc: { words: 'Clutch disc', group: 'Clutch and converter', ports: ['disc-hub/main'] },
  'release-bearing': { words: 'Release bearing', group: 'Clutch and converter', ports: ['release-bearing/main'] },
  converter: { words: 'Torque converter', group: 'Clutch and converter', ports: ['converter/main'] },
  starter: { words: 'Starter', group: 'Clutch and converter', ports: ['starter/main'] },
  'alignment-tool': { words: 'Clutch alignment tool', group: 'Clutch and converter', ports: [] },
  'fork-stud': { words: 'Release fork stud', group: 'Clutch and converter', ports: [] },
  'clutch-line-end': { words: 'Clutch line end', group: 'Clutch and converter', ports: [] },
  'cover-bolt': { words: 'Clutch cover bolt', group: 'Clutch and converter', ports: [] },
  'gearbox-cooler': { words: 'Gearbox oil cooler', group: 'Clutch and converter', ports: [] },
  'cooler-line': { words: 'Cooler line', group: 'Clutch and converter', ports: [] },
  'engine-mount': { words: 'Engine mount', group: 'Mounts and driveline', ports: [] },
  'gearbox-mount': { words: 'Gearbox mount', group: 'Mounts and driveline', ports: [] },
  propshaft: { words: 'Propshaft', group: 'Mounts and driveline', ports: [] },
  speedometer: { words: 'Speedometer drive', group: 'Mounts and driveline', ports: [] },
  sump: { words: 'Sump and pickup', group: 'Engine bay', ports: ['sump/main'] },
  exhaust: { words: 'Exhaust', group: 'Engine bay', ports: [] },
  'lower-hose': { words: 'Lower radiator hose', group: 'Engine bay', ports: [] },
  'top-hose': { words: 'Top radiator hose', group: 'Engine bay', ports: [] },
  'heater-reducer': { words: 'Heater hose reducers', group: 'Engine bay', ports: [] },
  'throttle-bracket': { words: 'Throttle bracket', group: 'Engine bay', ports: [] },
  'alternator-plug': { words: 'Alternator plug', group: 'Engine bay', ports: [] },
  'earth-strap': { words: 'Earth straps', group: 'Engine bay', ports: [] },
  belt: { words: 'Drive belt', group: 'Engine bay', ports: [] },
  'throttle-actuation': { words: 'Throttle actuation', group: 'Engine bay', ports: [] },
  'air-conditioning': { words: 'Air conditioning', group: 'Must still work', ports: [] },
  'steering-assist': { words: 'Steering assist', group: 'Must still work', ports: [] },
  'brake-assist': { words: 'Brake assist', group: 'Must still work', ports: [] },
  cruise: { words: 'Cruise control', group: 'Must still work', ports: [] },
  gauges: { words: 'Gauges', group: 'Must still work', ports: [] },
  'four-wheel-drive': { words: 'Four-wheel drive', group: 'Must still work', ports: [] },
  'power-take-off': { words: 'Power take-off', group: 'Must still work', ports: [] },
  'range-indicator': { words: 'Range indicator', group: 'Must still work', ports: [] },
  'emissions-equipment': { words: 'Emissions equipment', group: 'Must still work', ports: [] },
  heater: { words: 'Heater', group: 'Must still work', ports: [] },
  'engine-oil': { words: 'Engine oil', group: 'Fluids', ports: [] },
  'gearbox-oil': { words: 'Gearbox oil', group: 'Fluids', ports: [] },
  coolant: { words: 'Coolant', group: 'Fluids', ports: [] },
  papers: { words: 'Papers', group: 'Papers', ports: [] },
  inspection: { words: 'Inspection', group: 'Papers', ports: [] },
  work: { words: 'Work', group: 'Work', ports: [] },
  unsorted: { words: 'Unsorted', group: 'Unsorted', ports: [] },
} as const satisfies Record<string, { words: string; group: string; ports: readonly string[] }>

export type PartKind = keyof typeof PART_KINDS
export const isPartKind = (kind: string): kind is PartKind => Object.hasOwn(PART_KINDS, kind)
export const kindWords = (kind: string): string => (isPartKind(kind) ? PART_KINDS[kind].words : kind)
export const kindGroup = (kind: string): string => (isPartKind(kind) ? PART_KINDS[kind].group : 'Other')

export interface TypedPort {
  readonly kind: string
  readonly slot: string
  readonly looks: 'forward' | 'rearward' | undefined
}

/** The ports a kind of part is typed with. */
export const typedPorts = (kind: string): TypedPort[] =>
  (isPartKind(kind) ? PART_KINDS[kind].ports : []).map((port) => {
    const [name = '', slot = 'main', looks] = port.split('/')
    return { kind: name, slot, looks: looks as TypedPort['looks'] }
  })
