/** A corner, mm: x rearward or right, y down; rounded by r where given. */
export type Corner = readonly [x: number, y: number, r?: number]

/** What a mark stands for, so that it can be inked: castings, pressings, turned parts, insides, what is put in, cut metal, the vehicle behind. */
export type Look =
  | 'casting'
  | 'cover'
  | 'pressed'
  | 'turned'
  | 'hollow'
  | 'inside'
  | 'faint'
  | 'piston'
  | 'rubber'
  | 'put-in'
  | 'cut'
  | 'cut-other'
  | 'cut-fine'
  | 'behind'
  | 'behind-far'
  | 'shell'
  | 'hose'
  | 'axis'

/** From how large a scale a mark is drawn: silhouettes at any, castings and insides only where they can be seen. */
export type Detail = 'silhouette' | 'casting' | 'inside'

interface Inked {
  /** Which thing of the train it belongs to: engine, bell, rear axle. */
  readonly part: string
  readonly look: Look
  readonly known: boolean
  readonly detail: Detail
}
export interface Outline extends Inked {
  readonly corners: readonly Corner[]
  readonly closed: boolean
}
export interface Disc extends Inked {
  readonly at: readonly [number, number]
  readonly r: number
}
/** One thing drawn, in mm of the drawing's own frame. */
export type Mark = Outline | Disc

const inked = (look: Look, detail: Detail) => ({ part: '', look, known: true, detail }) as const

/** A closed outline. */
export const outline = (
  look: Look,
  corners: readonly Corner[],
  detail: Detail = 'casting',
): Outline => ({ ...inked(look, detail), corners, closed: true })

/** An open line through points. */
export const line = (
  look: Look,
  corners: readonly Corner[],
  detail: Detail = 'casting',
): Outline => ({
  ...inked(look, detail),
  corners,
  closed: false,
})

export const disc = (
  look: Look,
  x: number,
  y: number,
  r: number,
  detail: Detail = 'casting',
): Disc => ({ ...inked(look, detail), at: [x, y], r })

/** A box between two corners, its own corners rounded by r. */
export const box = (
  look: Look,
  x0: number,
  y0: number,
  x1: number,
  y1: number,
  r = 0,
  detail: Detail = 'casting',
): Outline =>
  outline(
    look,
    [
      [x0, y0, r],
      [x1, y0, r],
      [x1, y1, r],
      [x0, y1, r],
    ],
    detail,
  )

/** Marks as things of a part, known or a stand-in; what is said to be of another stays of that. */
export const as = (part: string, known: boolean, marks: readonly Mark[]): readonly Mark[] =>
  marks.map((mark) => ({ ...mark, part: mark.part || part, known: mark.known && known }))

/** Marks drawn only from a scale on. */
export const from = (detail: Detail, marks: readonly Mark[]): readonly Mark[] =>
  marks.map((mark) => ({ ...mark, detail }))

export interface Placing {
  readonly x?: number
  readonly y?: number
  /** Clockwise as drawn, degrees, about the origin of the marks, before they are moved. */
  readonly turn?: number
  /** −1 where it is mirrored along x, before it is turned. */
  readonly flip?: 1 | -1
}

/** Marks turned and moved to a place. */
export function placed(
  marks: readonly Mark[],
  { x = 0, y = 0, turn = 0, flip = 1 }: Placing,
): readonly Mark[] {
  const [cos, sin] = [Math.cos(radians(turn)), Math.sin(radians(turn))]
  const move = (px: number, py: number): readonly [number, number] => [
    x + px * flip * cos - py * sin,
    y + px * flip * sin + py * cos,
  ]
  return marks.map((mark) =>
    'r' in mark
      ? { ...mark, at: move(...mark.at) }
      : {
          ...mark,
          corners: mark.corners.map(([px, py, r]): Corner => {
            const [mx, my] = move(px, py)
            return r === undefined ? [mx, my] : [mx, my, r]
          }),
        },
  )
}

export interface Bounds {
  readonly x0: number
  readonly y0: number
  readonly x1: number
  readonly y1: number
}

/** What marks take up, mm; nothing drawn is nothing. */
export function boundsOf(marks: readonly Mark[]): Bounds {
  const bounds = { x0: Infinity, y0: Infinity, x1: -Infinity, y1: -Infinity }
  const take = (x: number, y: number): void => {
    bounds.x0 = Math.min(bounds.x0, x)
    bounds.y0 = Math.min(bounds.y0, y)
    bounds.x1 = Math.max(bounds.x1, x)
    bounds.y1 = Math.max(bounds.y1, y)
  }
  for (const mark of marks)
    if ('r' in mark) {
      take(mark.at[0] - mark.r, mark.at[1] - mark.r)
      take(mark.at[0] + mark.r, mark.at[1] + mark.r)
    } else for (const [x, y] of mark.corners) take(x, y)
  return bounds
}

export const radians = (degrees: number): number => (degrees * Math.PI) / 180

/** Evenly spaced from a to b, both in. */
export const steps = (a: number, b: number, by: number): number[] =>
  Array.from({ length: Math.max(0, Math.floor((b - a) / by + 1e-9) + 1) }, (_, i) => a + i * by)

const round = (value: number): number => Math.round(value * 100) / 100

/** An outline as the path of an SVG, its corners rounded as far as their sides allow. */
export function pathOf({ corners, closed }: Outline): string {
  const n = corners.length
  let path = ''
  const go = (command: string, ...figures: number[]): void => {
    path += command + figures.map(round).join(' ')
  }
  corners.forEach(([x, y, r = 0], i) => {
    const isEnd = !closed && (i === 0 || i === n - 1)
    const start = i === 0 ? 'M' : 'L'
    const [px, py] = corners[(i - 1 + n) % n]!
    const [qx, qy] = corners[(i + 1) % n]!
    const back = Math.hypot(px - x, py - y)
    const on = Math.hypot(qx - x, qy - y)
    if (r === 0 || isEnd || back === 0 || on === 0) {
      go(start, x, y)
      return
    }
    const a = Math.min(r, back / 2)
    const b = Math.min(r, on / 2)
    go(start, x + ((px - x) / back) * a, y + ((py - y) / back) * a)
    go('Q', x, y, x + ((qx - x) / on) * b, y + ((qy - y) / on) * b)
  })
  return path + (closed ? 'Z' : '')
}

/** The hull of circles, as an outline: cases are drawn around the shafts in them. */
export function hull(
  look: Look,
  circles: readonly (readonly [x: number, y: number, r: number])[],
  detail: Detail = 'casting',
): Outline {
  const points = circles
    .flatMap(([x, y, r]) =>
      steps(0, 47, 1).map((i): [number, number] => [
        x + r * Math.cos((i * Math.PI) / 24),
        y + r * Math.sin((i * Math.PI) / 24),
      ]),
    )
    .toSorted((a, b) => a[0] - b[0] || a[1] - b[1])
  const half = (ordered: readonly [number, number][]): [number, number][] => {
    const kept: [number, number][] = []
    for (const point of ordered) {
      while (kept.length > 1 && cross(kept.at(-2)!, kept.at(-1)!, point) <= 0) kept.pop()
      kept.push(point)
    }
    return kept.slice(0, -1)
  }
  return outline(look, [...half(points), ...half(points.toReversed())], detail)
}

const cross = (o: readonly number[], a: readonly number[], b: readonly number[]): number =>
  (a[0]! - o[0]!) * (b[1]! - o[1]!) - (a[1]! - o[1]!) * (b[0]! - o[0]!)
