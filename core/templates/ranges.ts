/** What a kind of need costs and takes where nothing better is known, whole euros and hours. */
export interface KindRange {
  readonly priceEur: readonly [low: number, high: number]
  readonly hours: readonly [low: number, high: number]
}

const range = (low: number, high: number, from: number, to: number): KindRange => ({ priceEur: [low, high], hours: [from, to] })

/** Currency the ranges are written in. */
export const RANGE_CURRENCY = 'EUR'

/** By kind of need, parts alone, used to new. Grade assumed: common practice, no published source. */
export const RANGES: Readonly<Record<string, KindRange>> = {
  engine: range(400, 3500, 12, 30),
  transmission: range(200, 1800, 4, 10),
  'transfer-case': range(200, 1200, 3, 8),
  plate: range(120, 650, 1, 4),
  separator: range(10, 80, 0.2, 0.5),
  spacer: range(60, 250, 0.5, 1.5),
  flywheel: range(60, 450, 0.5, 2),
  flexplate: range(50, 250, 0.5, 1.5),
  pilot: range(5, 45, 0.3, 1),
  dowel: range(4, 40, 0.2, 2),
  'bell-bolt': range(10, 60, 0.5, 1),
  'odd-bell-bolt': range(5, 40, 0.2, 1),
  'flange-bolt': range(15, 70, 0.3, 0.7),
  'cover-bolt': range(6, 30, 0.3, 0.5),
  cover: range(60, 350, 0.5, 1),
  disc: range(40, 250, 0.2, 0.5),
  'release-bearing': range(20, 180, 0.3, 1),
  'alignment-tool': range(5, 40, 0.1, 0.3),
  'fork-stud': range(5, 40, 0.2, 1),
  'clutch-line-end': range(15, 120, 0.5, 2),
  converter: range(120, 700, 1, 2),
  starter: range(60, 350, 0.5, 2),
  'gearbox-cooler': range(40, 250, 1, 3),
  'cooler-line': range(30, 180, 1, 3),
  'engine-mount': range(40, 400, 3, 10),
  'gearbox-mount': range(30, 250, 2, 6),
  propshaft: range(150, 700, 1, 4),
  speedometer: range(20, 350, 1, 4),
  sump: range(60, 600, 1, 8),
  exhaust: range(200, 1200, 4, 14),
  'lower-hose': range(10, 60, 0.3, 1),
  'top-hose': range(10, 60, 0.3, 1),
  belt: range(8, 45, 0.3, 1),
  'throttle-actuation': range(20, 350, 1, 5),
  'throttle-bracket': range(10, 90, 0.5, 2),
  'alternator-plug': range(5, 40, 0.3, 1),
  'heater-reducer': range(5, 40, 0.3, 1),
  'earth-strap': range(8, 50, 0.3, 1),
  'air-conditioning': range(150, 1100, 4, 14),
  'steering-assist': range(80, 700, 2, 8),
  'brake-assist': range(60, 600, 1, 6),
  cruise: range(30, 350, 1, 6),
  gauges: range(40, 500, 2, 10),
  'four-wheel-drive': range(200, 1800, 4, 20),
  'power-take-off': range(150, 1200, 3, 12),
  'range-indicator': range(20, 200, 1, 4),
  'emissions-equipment': range(150, 1500, 3, 12),
  heater: range(15, 120, 1, 3),
  'engine-oil': range(25, 90, 0.3, 0.6),
  'gearbox-oil': range(15, 110, 0.3, 0.6),
  coolant: range(15, 60, 0.3, 0.8),
  papers: range(0, 250, 1, 6),
  inspection: range(60, 700, 2, 8),
}
