import type { Dowel, Hole } from '../core/ports/field.ts'

const round = (value: number): number => Number(value.toFixed(3))
const at = (radius: number, degrees: number) => ({
  x: round(radius * Math.cos((degrees * Math.PI) / 180)),
  y: round(radius * Math.sin((degrees * Math.PI) / 180)),
})

/** A bell pattern: radius and angle of each bolt, and of two dowels. Invented; each family is uneven in its own way. */
export interface Pattern {
  readonly bolts: readonly (readonly [radius: number, degrees: number])[]
  readonly dowels: readonly (readonly [radius: number, degrees: number])[]
}

/** A ring of bolts, each a little off its even place, so that no two families agree by chance. */
const pattern = (
  count: number,
  radius: number,
  startDeg: number,
  ...dowels: (readonly [number, number])[]
): Pattern => ({
  bolts: Array.from(
    { length: count },
    (_, i) =>
      [
        radius + ((i * 7) % 5) - 2,
        Math.round(startDeg + (360 / count) * i + ((i * 11) % 9) - 4),
      ] as const,
  ),
  dowels,
})

/** Rear faces of gearboxes that take a transfer case. */
export const CASE_PATTERNS = {
  dovrek: pattern(8, 96, 20, [92, 0], [92, 181]),
  kessarn: pattern(6, 84, 31, [82, 10], [82, 190]),
}

export const PATTERNS = {
  marlund: {
    bolts: [
      [182, 28],
      [176, 71],
      [178, 117],
      [184, 156],
      [171, 214],
      [173, 322],
    ],
    dowels: [
      [180, 350],
      [180, 204],
    ],
  },
  wickFirst: {
    bolts: [
      [168, 35],
      [162, 84],
      [165, 128],
      [170, 171],
      [158, 231],
      [161, 307],
    ],
    dowels: [
      [166, 14],
      [166, 196],
    ],
  },
  wickSecond: {
    bolts: [
      [174, 21],
      [169, 62],
      [171, 104],
      [176, 147],
      [177, 188],
      [163, 239],
      [165, 301],
    ],
    dowels: [
      [172, 2],
      [172, 168],
    ],
  },
  quill: {
    bolts: [
      [158, 41],
      [151, 93],
      [156, 141],
      [160, 183],
      [149, 246],
      [152, 316],
    ],
    dowels: [
      [157, 19],
      [157, 204],
    ],
  },
  anvil: {
    bolts: [
      [205, 18],
      [201, 55],
      [199, 98],
      [203, 139],
      [206, 172],
      [192, 221],
      [194, 270],
      [196, 318],
    ],
    dowels: [
      [204, 1],
      [204, 181],
    ],
  },
  ember: pattern(7, 186, 24, [181, 4], [181, 177]),
  nib: pattern(6, 149, 33, [150, 12], [150, 199]),
  maul: pattern(9, 214, 16, [212, 2], [212, 183]),
  adze: pattern(10, 228, 12, [226, 1], [226, 179]),
  tarn: pattern(7, 153, 27, [154, 9], [154, 188]),
  fen: pattern(6, 164, 38, [163, 17], [163, 201]),
} as const satisfies Record<string, Pattern>

/** Face as tapped and pinned: a block rear, or the rear of a plate. */
export const tapped = (pattern: Pattern): { holes: Hole[]; dowels: Dowel[] } => ({
  holes: pattern.bolts.map(([r, deg]) => ({
    ...at(r, deg),
    d: 10,
    thread: 'M10x1.5',
    process: 'drilled',
  })),
  dowels: pattern.dowels.map(([r, deg]) => ({
    ...at(r, deg),
    d: 12,
    pin: true,
    process: 'reamed',
  })),
})

/** Face as drilled through with reamed dowel holes: a bell front, or the front of a plate. */
export const drilled = (pattern: Pattern): { holes: Hole[]; dowels: Dowel[] } => ({
  holes: pattern.bolts.map(([r, deg]) => ({ ...at(r, deg), d: 10.6, process: 'drilled' })),
  dowels: pattern.dowels.map(([r, deg]) => ({ ...at(r, deg), d: 12.03, process: 'reamed' })),
})

/** An outline around a pattern. */
export const outlineOf = (pattern: Pattern) =>
  pattern.bolts.flatMap(([r, deg], i) => {
    const next = pattern.bolts[(i + 1) % pattern.bolts.length]!
    const middle = (deg + next[1] + (next[1] < deg ? 360 : 0)) / 2
    return [at(r + 22, deg), at(Math.min(r, next[0]) + 12, middle)]
  })
