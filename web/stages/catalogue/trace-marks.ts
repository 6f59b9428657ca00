import {
  type Pixel,
  patternFromTrace,
  type Trace,
  type TracedPattern,
} from '../../../core/patterns/from-trace.ts'

/** How an input looks here. */
export const input = 'rounded border border-steel bg-ground px-2 py-1.5'

/** What can be marked. */
export const TOOLS = [
  ['known', 'Known distance'],
  ['axis', 'Axis'],
  ['hole', 'Hole'],
  ['dowel', 'Dowel'],
] as const

/** What is being marked. */
export type Tool = (typeof TOOLS)[number][0]

/** What was marked on a picture, px. */
export interface Marks {
  readonly axis: Pixel | null
  readonly holes: Trace['holes']
  readonly dowels: Trace['dowels']
  readonly known: readonly { readonly from: Pixel; readonly to: Pixel; readonly typed: string }[]
  readonly view: Trace['view']
}

/** Nothing marked yet. */
export const BLANK: Marks = {
  axis: null,
  holes: [],
  dowels: [],
  known: [],
  view: 'looking at the face',
}

/** The picture that is traced. */
export interface Picture {
  readonly url: string
  readonly width: number
  readonly height: number
}

/** The pattern so far, or what is still missing, in words. */
export function trace(
  marks: Marks,
  looks: Trace['looks'],
  read: (typed: string) => number,
): TracedPattern | string {
  if (marks.known.length === 0)
    return 'Mark the scale bar first: two points, and how far apart they are.'
  if (marks.known.some((one) => one.typed.trim() === ''))
    return 'Type how far apart the two ends of each known distance are.'
  if (!marks.axis)
    return 'Mark the axis: without it nothing says where the pattern stands on the crank.'
  try {
    return patternFromTrace({
      ...marks,
      axis: marks.axis,
      looks,
      known: marks.known.map(({ from, to, typed }) => ({ from, to, mm: read(typed) })),
    })
  } catch (error) {
    return (error as Error).message
  }
}
