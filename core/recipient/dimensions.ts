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

/** One dimension of a recipient: the drawing it is measured on, where one stands, and the field of the port it is kept in. */
export interface Dimension {
  readonly view: View
  readonly place: Place
  readonly port: string
  readonly field: string
}

const on = (view: View, place: Place, port: string, ...fields: readonly string[]): Dimension[] =>
  fields.map((field) => ({ view, place, port: `${port}/main`, field }))

/** Every dimension that is measured on a drawing, in the order one takes them. */
export const DIMENSIONS: readonly Dimension[] = [
  ...on(
    'side',
    'Bay, from above',
    'outline',
    'noseMm',
    'mountsMm',
    'blockFaceMm',
    'firewallMm',
    'coreMm',
  ),
  ...on('side', 'Under the front', 'outline', 'frontAxleMm', 'crankMm'),
  ...on('side', 'Under the front', 'chassis-pads', 'crankAboveMm'),
  ...on('side', 'Under the gearbox', 'crossmember', 'alongMm', 'belowMm'),
  ...on('side', 'In the cab', 'lever-opening', 'fromMm', 'toMm'),
  ...on('side', 'At the axle', 'outline', 'rearAxleMm', 'tailMm'),
  ...on('side', 'At the axle', 'pinion', 'alongMm', 'belowMm', 'noseUpDeg', 'travelMm'),
  ...on('top', 'Bay, from above', 'bay', 'lengthMm', 'widthMm'),
  ...on('top', 'Under the front', 'chassis-pads', 'spreadMm'),
  ...on('top', 'Under the front', 'outline', 'widthMm'),
  ...on('top', 'Under the gearbox', 'crossmember', 'spacingMm'),
  ...on('top', 'At the axle', 'propshaft', 'lengthMm'),
  ...on('top', 'At the axle', 'pinion', 'rightMm'),
  ...on('top', 'In the cab', 'clutch-pedal', 'travelMm'),
  ...on('front', 'Bay, from above', 'bay', 'heightMm', 'boosterMm'),
  ...on('front', 'Under the front', 'bay', 'columnMm'),
  ...on('front', 'Under the front', 'chassis-pads', 'angleDeg'),
  ...on(
    'tunnel',
    'Under the gearbox',
    'tunnel',
    'bellMm',
    'leverMm',
    'tailMm',
    'caseMm',
    'widthMm',
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
