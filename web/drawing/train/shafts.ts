import { as, box, disc, from, line, type Mark, outline, placed } from './mark.ts'

/** A joint of two yokes at the origin, its arms along x. */
const joint = (): readonly Mark[] => [
  outline('cover', [
    [-46, -26, 4],
    [-8, -32, 8],
    [16, -32, 8],
    [16, -14],
    [-6, -12],
    [-6, 12],
    [16, 14],
    [16, 32, 8],
    [-8, 32, 8],
    [-46, 26, 4],
  ]),
  outline('turned', [
    [46, -22, 4],
    [6, -22, 8],
    [-16, -12, 6],
    [-16, 12, 6],
    [6, 22, 8],
    [46, 22, 4],
  ]),
  disc('turned', 0, 0, 13),
]

export interface End {
  readonly x: number
  readonly y: number
}

/** How far a shaft leans between its joints, degrees, down to the rear. */
export const leanOf = (a: End, b: End): number => (Math.atan2(b.y - a.y, b.x - a.x) * 180) / Math.PI

/** A propshaft between two joint centres, slip at the first, each joint halfway between shaft and level. */
export function propshaft(
  part: string,
  known: boolean,
  a: End,
  b: End,
  radius = 38,
): readonly Mark[] {
  const lean = leanOf(a, b)
  const long = Math.hypot(b.x - a.x, b.y - a.y)
  if (long < 200) return []
  const tube: readonly Mark[] = [
    outline(
      'turned',
      [
        [46, -22],
        [78, -radius],
        [long - 78, -radius],
        [long - 46, -22],
        [long - 46, 22],
        [long - 78, radius],
        [78, radius],
        [46, 22],
      ],
      'silhouette',
    ),
    box('turned', 88, -radius - 6, 178, radius + 6, 4),
    ...from(
      'inside',
      [100, 112, 124].map((x) =>
        line('inside', [
          [x, -radius - 6],
          [x, radius + 6],
        ]),
      ),
    ),
    ...from('inside', [
      line('axis', [
        [-20, 0],
        [long + 20, 0],
      ]),
    ]),
  ]
  return as(part, known, [
    ...placed(tube, { ...a, turn: lean }),
    ...placed(joint(), { ...a, turn: lean / 2 }),
    ...placed(joint(), { ...b, turn: 180 + lean / 2 }),
  ])
}

/** A drive shaft from its inner joint at the origin along +x: joints in their boots, bar, stub. */
export function driveShaft(known: boolean, long: number): readonly Mark[] {
  const boot = (x: number, way: 1 | -1): readonly Mark[] =>
    Array.from({ length: 5 }, (_, i) => {
      const at = x + way * i * 13
      const half = 42 - i * 5
      return box('turned', Math.min(at, at + way * 13), -half, Math.max(at, at + way * 13), half, 3)
    })
  return as('drive shaft', known, [
    ...(long > 220 ? [box('turned', 100, -14, long - 100, 14, 0, 'silhouette')] : []),
    box('cover', 0, -46, 46, 46, 4, 'silhouette'),
    ...boot(46, 1),
    ...boot(long - 46, -1),
    box('cover', long - 46, -46, long, 46, 10, 'silhouette'),
    box('turned', long, -20, long + 58, 20, 2),
    ...from('inside', [
      line('axis', [
        [-20, 0],
        [long + 60, 0],
      ]),
    ]),
  ])
}
