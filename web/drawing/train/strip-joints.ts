import type { Code } from '../../../core/joints/code.ts'
import { STRIP_PLACES, type StripPlace } from '../../../core/joints/joint.ts'
import type { Grade } from '../../../core/quantity/grade.ts'

/** A joint as the strip shows it. */
export interface StripJoint {
  readonly joint: string
  readonly short: string
  readonly code: Code
  readonly closed: Code | null
  readonly evidence: Grade | null
}

/** Parts of the strip, front to back, with the places in them; those under the train stand under it. */
export const STRIP_AREAS = [
  { id: 'front', words: 'at the front', places: ['front', 'engine mounts', 'sump'] },
  {
    id: 'mating',
    words: 'at the mating plane',
    places: ['face', 'flange', 'pilot', 'release', 'starter'],
  },
  {
    id: 'gearbox',
    words: 'at the gearbox',
    places: ['gearbox', 'gearbox mount', 'lever', 'transfer case'],
  },
  { id: 'line', words: 'behind it', places: ['output', 'side outputs'] },
] as const satisfies readonly {
  id: string
  words: string
  places: readonly StripPlace[]
}[]

const UNDER: ReadonlySet<StripPlace> = new Set([
  'engine mounts',
  'sump',
  'gearbox mount',
  'transfer case',
  'side outputs',
])

/** One label of the strip: a joint that is not settled, or those of an area that mate, counted. */
export type StripLabel =
  | { readonly kind: 'joint'; readonly joint: StripJoint; readonly place: StripPlace }
  | {
      readonly kind: 'settled'
      readonly area: (typeof STRIP_AREAS)[number]
      readonly joints: readonly StripJoint[]
      readonly place: StripPlace
    }

/** Labels over and under the train, in order of the strip. What mates recedes to one of an area. */
export function stripLabels(
  joints: readonly StripJoint[],
  placeOf: Readonly<Record<string, StripPlace>>,
  selected: string | null,
): { readonly over: readonly StripLabel[]; readonly under: readonly StripLabel[] } {
  const over: StripLabel[] = []
  const under: StripLabel[] = []
  for (const area of STRIP_AREAS) {
    const places: readonly StripPlace[] = area.places
    const here = joints
      .flatMap((joint) => {
        const place = placeOf[joint.joint]
        return place && places.includes(place) ? [{ joint, place }] : []
      })
      .toSorted((a, b) => STRIP_PLACES.indexOf(a.place) - STRIP_PLACES.indexOf(b.place))
    const settled = here.filter(
      ({ joint }) => (joint.closed ?? joint.code) === 'fits' && joint.joint !== selected,
    )
    for (const { joint, place } of here) {
      if (settled.some((one) => one.joint === joint)) continue
      const label: StripLabel = { kind: 'joint', joint, place }
      if (UNDER.has(place)) under.push(label)
      else over.push(label)
    }
    const [first] = settled
    if (first)
      over.push({
        kind: 'settled',
        area,
        joints: settled.map(({ joint }) => joint),
        place: settled.find(({ place }) => !UNDER.has(place))?.place ?? first.place,
      })
  }
  return { over, under }
}
