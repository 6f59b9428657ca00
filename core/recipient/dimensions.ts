import type { FieldWords } from '../ports/field.ts'
import { fieldsOf, type PortKindName } from '../ports/index.ts'

export const VIEWS = ['side', 'top', 'front', 'tunnel'] as const
export type View = (typeof VIEWS)[number]
export const VIEW_WORDS: Readonly<Record<View, string>> = {
  side: 'From the side',
  top: 'From above',
  front: 'Front of the bay',
  tunnel: 'Tunnel at stations',
}

/** Where one stands to measure, in the order one goes round and crawls under. */
export const PLACES = [
  'Bay, from above',
  'Under the front',
  'Under the gearbox',
  'At the axle',
  'In the cab',
] as const
export type Place = (typeof PLACES)[number]

/**
 * One dimension of a recipient on its drawing: a line between two points of the view (in hundredths of its width), and the
 * field of the port it is kept in.
 */
export interface Dimension {
  readonly view: View
  readonly place: Place
  readonly port: string
  readonly field: string
  readonly from: readonly [number, number]
  readonly to: readonly [number, number]
  /** Where the field sits on the line. */
  readonly at: readonly [number, number]
}

const on = (
  view: View,
  place: Place,
  port: string,
  field: string,
  from: Dimension['from'],
  to: Dimension['to'],
  at?: Dimension['at'],
): Dimension => ({
  view,
  place,
  port,
  field,
  from,
  to,
  at: at ?? [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2],
})

/** Every dimension that is measured on a drawing. Views are 100 wide and 44 high. */
export const DIMENSIONS: readonly Dimension[] = [
  on('side', 'Bay, from above', 'outline/main', 'blockFaceMm', [8, 5], [33, 5]),
  on('side', 'Bay, from above', 'outline/main', 'firewallMm', [8, 10], [38, 10]),
  on('side', 'Under the front', 'outline/main', 'frontAxleMm', [8, 39], [20, 39]),
  on('side', 'At the axle', 'outline/main', 'rearAxleMm', [8, 43], [84, 43], [66, 43]),
  on('side', 'Under the front', 'chassis-pads/main', 'crankAboveMm', [25, 22], [25, 29]),
  on('side', 'Under the gearbox', 'crossmember/main', 'alongMm', [25, 34], [52, 34], [40, 34]),
  on('side', 'Under the gearbox', 'crossmember/main', 'belowMm', [52, 29], [52, 34], [57, 30]),
  on('side', 'In the cab', 'lever-opening/main', 'fromMm', [25, 15], [45, 15], [36, 15]),
  on('side', 'In the cab', 'lever-opening/main', 'toMm', [25, 19], [52, 19], [48, 20]),
  on('side', 'At the axle', 'pinion/main', 'alongMm', [25, 38], [78, 38], [52, 38.5]),
  on('side', 'At the axle', 'pinion/main', 'belowMm', [78, 29], [78, 33], [73, 29]),
  on('side', 'At the axle', 'pinion/main', 'noseUpDeg', [80, 33], [86, 31], [90, 27]),
  on('side', 'At the axle', 'pinion/main', 'travelMm', [74, 25], [82, 25], [88, 22]),
  on('top', 'Bay, from above', 'bay/main', 'lengthMm', [8, 22], [36, 22], [20, 25]),
  on('top', 'Bay, from above', 'bay/main', 'widthMm', [22, 8], [22, 36], [28, 11]),
  on('top', 'Under the front', 'chassis-pads/main', 'spreadMm', [27, 12], [27, 32], [34, 32]),
  on('top', 'Under the gearbox', 'crossmember/main', 'spacingMm', [54, 17], [54, 27], [58, 22]),
  on('top', 'At the axle', 'propshaft/main', 'lengthMm', [60, 22], [78, 22], [69, 18]),
  on('top', 'At the axle', 'pinion/main', 'rightMm', [80, 22], [80, 27], [88, 28]),
  on('top', 'In the cab', 'clutch-pedal/main', 'travelMm', [40, 33], [45, 37], [50, 39]),
  on('front', 'Bay, from above', 'bay/main', 'heightMm', [50, 6], [50, 26], [58, 13]),
  on('front', 'Bay, from above', 'bay/main', 'boosterMm', [50, 22], [72, 22], [66, 19]),
  on('front', 'Under the front', 'bay/main', 'columnMm', [28, 30], [50, 30], [36, 33]),
  on('front', 'Under the front', 'chassis-pads/main', 'angleDeg', [34, 38], [42, 34], [30, 40]),
  on('tunnel', 'Under the gearbox', 'tunnel/main', 'bellMm', [20, 12], [20, 36], [20, 24]),
  on('tunnel', 'Under the gearbox', 'tunnel/main', 'leverMm', [40, 15], [40, 36], [40, 26]),
  on('tunnel', 'Under the gearbox', 'tunnel/main', 'tailMm', [60, 18], [60, 36], [60, 27]),
  on('tunnel', 'Under the gearbox', 'tunnel/main', 'caseMm', [80, 18], [80, 36], [80, 27]),
  on('tunnel', 'Under the gearbox', 'tunnel/main', 'widthMm', [84, 30], [96, 30], [90, 33]),
]

/** The words of a dimension's field. */
export const dimensionWords = ({
  port,
  field,
}: Pick<Dimension, 'port' | 'field'>): FieldWords<number> =>
  fieldsOf(port.split('/')[0] as PortKindName)[field] as FieldWords<number>

export const dimensionId = ({ port, field }: Pick<Dimension, 'port' | 'field'>): string =>
  `${port}.${field}`
