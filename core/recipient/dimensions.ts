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
  readonly how: string
}

const on = (
  view: View,
  place: Place,
  port: string,
  field: string,
  from: Dimension['from'],
  to: Dimension['to'],
  how: string,
  at?: Dimension['at'],
): Dimension => ({
  view,
  place,
  port,
  field,
  from,
  to,
  at: at ?? [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2],
  how,
})

/** Every dimension that is measured on a drawing. Views are 100 wide and 44 high. */
export const DIMENSIONS: readonly Dimension[] = [
  on(
    'side',
    'Bay, from above',
    'outline/main',
    'blockFaceMm',
    [8, 5],
    [33, 5],
    'Radiator core to the face of the block, along the crank',
  ),
  on(
    'side',
    'Bay, from above',
    'outline/main',
    'firewallMm',
    [8, 10],
    [38, 10],
    'Radiator core to the firewall at crank height',
  ),
  on(
    'side',
    'Under the front',
    'outline/main',
    'frontAxleMm',
    [8, 39],
    [20, 39],
    'Radiator core to the middle of the front axle, plumb',
  ),
  on(
    'side',
    'At the axle',
    'outline/main',
    'rearAxleMm',
    [8, 43],
    [84, 43],
    'Radiator core to the middle of the rear axle, on its tyres',
    [66, 43],
  ),
  on(
    'side',
    'Under the front',
    'chassis-pads/main',
    'crankAboveMm',
    [25, 22],
    [25, 29],
    'Straight edge across the mounts, up to the middle of the crank',
  ),
  on(
    'side',
    'Under the gearbox',
    'crossmember/main',
    'alongMm',
    [25, 34],
    [52, 34],
    'Plumb from between the engine mounts, tape to the middle of the gearbox mount',
    [40, 34],
  ),
  on(
    'side',
    'Under the gearbox',
    'crossmember/main',
    'belowMm',
    [52, 29],
    [52, 34],
    'String at the height of the engine mounts, down to the seat',
    [57, 30],
  ),
  on(
    'side',
    'In the cab',
    'lever-opening/main',
    'fromMm',
    [25, 15],
    [45, 15],
    'Plumb from between the engine mounts to the front edge of the opening',
    [36, 15],
  ),
  on(
    'side',
    'In the cab',
    'lever-opening/main',
    'toMm',
    [25, 19],
    [52, 19],
    'The same, to its rear edge',
    [48, 20],
  ),
  on(
    'side',
    'At the axle',
    'pinion/main',
    'alongMm',
    [25, 38],
    [78, 38],
    'Plumb from between the engine mounts to the middle of the axle joint, on its tyres',
    [52, 38.5],
  ),
  on(
    'side',
    'At the axle',
    'pinion/main',
    'belowMm',
    [78, 29],
    [78, 33],
    'String at the height of the engine mounts, down to the axle joint',
    [73, 29],
  ),
  on(
    'side',
    'At the axle',
    'pinion/main',
    'noseUpDeg',
    [80, 33],
    [86, 31],
    'Level on the axle flange, on its tyres',
    [90, 27],
  ),
  on(
    'side',
    'At the axle',
    'pinion/main',
    'travelMm',
    [74, 25],
    [82, 25],
    'Mark the slip at bump and at droop, jacked under the frame',
    [88, 22],
  ),
  on(
    'top',
    'Bay, from above',
    'bay/main',
    'lengthMm',
    [8, 22],
    [36, 22],
    'Radiator core to firewall, at the widest place of the engine',
    [20, 25],
  ),
  on(
    'top',
    'Bay, from above',
    'bay/main',
    'widthMm',
    [22, 8],
    [22, 36],
    'Between the towers or rails, at head height',
    [28, 11],
  ),
  on(
    'top',
    'Under the front',
    'chassis-pads/main',
    'spreadMm',
    [27, 12],
    [27, 32],
    'Between the mounts, stud to stud',
    [34, 32],
  ),
  on(
    'top',
    'Under the gearbox',
    'crossmember/main',
    'spacingMm',
    [54, 17],
    [54, 27],
    'Between the bolts of the gearbox mount',
    [58, 22],
  ),
  on(
    'top',
    'At the axle',
    'propshaft/main',
    'lengthMm',
    [60, 22],
    [78, 22],
    'Joint centre to joint centre, slip at its middle',
    [69, 18],
  ),
  on(
    'top',
    'At the axle',
    'pinion/main',
    'rightMm',
    [80, 22],
    [80, 27],
    'Middle of the vehicle to the axle joint, + to the right seen from behind',
    [88, 28],
  ),
  on(
    'top',
    'In the cab',
    'clutch-pedal/main',
    'travelMm',
    [40, 33],
    [45, 37],
    'Rule beside the pedal, rest to floor',
    [50, 39],
  ),
  on(
    'front',
    'Bay, from above',
    'bay/main',
    'heightMm',
    [50, 6],
    [50, 26],
    'Middle of the crank to the bonnet, clay on the highest place',
    [58, 13],
  ),
  on(
    'front',
    'Bay, from above',
    'bay/main',
    'boosterMm',
    [50, 22],
    [72, 22],
    'Middle of the crank to the brake booster, at head height',
    [66, 19],
  ),
  on(
    'front',
    'Under the front',
    'bay/main',
    'columnMm',
    [28, 30],
    [50, 30],
    'Middle of the crank to the steering shaft, at its nearest',
    [36, 33],
  ),
  on(
    'front',
    'Under the front',
    'chassis-pads/main',
    'angleDeg',
    [34, 38],
    [42, 34],
    'Level on the face of the mount',
    [30, 40],
  ),
  on(
    'tunnel',
    'Under the gearbox',
    'tunnel/main',
    'bellMm',
    [20, 12],
    [20, 36],
    'Straight edge across the mount pads, up to the roof of the tunnel, at the bell',
    [20, 24],
  ),
  on(
    'tunnel',
    'Under the gearbox',
    'tunnel/main',
    'leverMm',
    [40, 15],
    [40, 36],
    'The same, at the lever',
    [40, 26],
  ),
  on(
    'tunnel',
    'Under the gearbox',
    'tunnel/main',
    'tailMm',
    [60, 18],
    [60, 36],
    'The same, at the tail of the gearbox',
    [60, 27],
  ),
  on(
    'tunnel',
    'Under the gearbox',
    'tunnel/main',
    'caseMm',
    [80, 18],
    [80, 36],
    'The same, where a transfer case sits',
    [80, 27],
  ),
  on(
    'tunnel',
    'Under the gearbox',
    'tunnel/main',
    'widthMm',
    [84, 30],
    [96, 30],
    'Inside width at shaft height, at the bell',
    [90, 33],
  ),
]

/** The words of a dimension's field. */
export const dimensionWords = ({
  port,
  field,
}: Pick<Dimension, 'port' | 'field'>): FieldWords<number> =>
  fieldsOf(port.split('/')[0] as PortKindName)[field] as FieldWords<number>

export const dimensionId = ({ port, field }: Pick<Dimension, 'port' | 'field'>): string =>
  `${port}.${field}`
