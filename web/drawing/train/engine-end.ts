import type { EngineFigure } from '../../../core/train/engine-figure.ts'
import { sectionsOf } from './bank.ts'
import { asCharger, chargerEnd } from './charger.ts'
import { insideBank } from './engine-inside.ts'
import {
  acrossCrank,
  type EngineLengths,
  engineLengths,
  PULLEY,
  SKIRT,
  throwsOf,
} from './engine-lengths.ts'
import { as, box, disc, from, type Mark, outline, placed, radians } from './mark.ts'
import { panZones } from './pan.ts'

/** An engine in section across its crank, seen from the gearbox: y right of the crank axis, z down. */
export function engineEnd(
  engine: EngineFigure,
  options: { readonly isPulley?: boolean } = {},
): readonly Mark[] {
  const e = engineLengths(engine)
  const isRow = engine.arrangement === 'in line'
  const half = e.stroke / 2 + 86
  const deepest = Math.max(...panZones(engine.sump, e).map(({ depthMm }) => depthMm))
  const known = engine.isKind && engine.bore.known
  const first = throwsOf(engine)[0]! + 40
  const crankcase = outline(
    'casting',
    isRow
      ? [
          [-half, SKIRT],
          [-half, -26, 24],
          [-half + 34, -50, 20],
          [half - 34, -50, 20],
          [half, -26, 24],
          [half, SKIRT],
        ]
      : [
          [-half, SKIRT],
          [-half, -20, 24],
          [-half * 0.86, -(e.stroke * 0.5 + 66), 14],
          [half * 0.86, -(e.stroke * 0.5 + 66), 14],
          [half, -20, 24],
          [half, SKIRT],
        ],
    'silhouette',
  )
  return [
    ...as('pan', engine.sump.length > 0, [
      outline(
        'pressed',
        [
          [-half + 22, SKIRT],
          [half - 22, SKIRT],
          [half - 30, deepest, 16],
          [-half + 30, deepest, 16],
        ],
        'silhouette',
      ),
    ]),
    ...as('engine', known, [
      crankcase,
      ...(isRow || engine.arrangement === 'flat' ? [] : valleyEnd(engine, e)),
      ...e.leans.flatMap((lean) => placed(bankEnd(engine, e, isRow, first - lean), { turn: lean })),
      ...(isRow
        ? placed(sidesEnd(engine, e), { turn: engine.slantDeg })
        : e.leans.flatMap((lean) => placed(exhaustEnd(e, Math.sign(lean)), { turn: lean }))),
      ...from('inside', [
        disc('axis', 0, 0, e.stroke / 2),
        disc('piston', 0, 0, 30),
        disc(
          'piston',
          (Math.sin(radians(first)) * e.stroke) / 2,
          (-Math.cos(radians(first)) * e.stroke) / 2,
          24,
        ),
      ]),
      ...(options.isPulley ? [disc('hollow', 0, 0, PULLEY)] : []),
    ]),
    ...asCharger(
      engine,
      chargerEnd(
        engine,
        Math.max(...e.leans.map((lean) => acrossCrank(e.headHalf, e.deck, Math.abs(lean))[0])),
        acrossCrank(e.headHalf, e.deck + e.head * 0.42, e.leans.at(-1)!)[1],
        Math.min(...e.leans.map((lean) => acrossCrank(0, e.deck + e.head + e.cover, lean)[1])),
      ),
    ),
    ...as('engine mount', engine.pads !== null, padsEnd(engine, half)),
  ]
}

/** One bank upright with what is in it: turned to its lean by who draws it. */
const bankEnd = (
  engine: EngineFigure,
  e: EngineLengths,
  isRow: boolean,
  degrees: number,
): readonly Mark[] => [
  ...sectionsOf(e, isRow).map(({ look, corners }) =>
    outline(
      look,
      corners.map(([u, v, r]) => (r === undefined ? ([u, -v] as const) : ([u, -v, r] as const))),
      'silhouette',
    ),
  ),
  ...insideBank(e, degrees),
  ...(engine.cams === 'head'
    ? from(
        'inside',
        [-1, 1].flatMap((way) => [
          disc('turned', way * e.headHalf * 0.45, -(e.deck + e.head * 0.92), 17),
          disc('inside', way * e.headHalf * 0.45, -(e.deck + e.head * 0.92), 5),
        ]),
      )
    : []),
]

/** Exhaust on the hot side, intake on the other, of a single row. */
function sidesEnd(engine: EngineFigure, e: EngineLengths): readonly Mark[] {
  const y = -(e.deck + e.head * 0.45)
  const way = engine.hot === 'left' ? -1 : 1
  const w = e.headHalf
  return [
    outline('cover', [
      [way * w, y - 20],
      [way * (w + 40), y - 16, 12],
      [way * (w + 58), y + 40, 16],
      [way * (w + 50), y + 110, 8],
      [way * (w + 12), y + 104, 8],
      [way * (w + 14), y + 40, 12],
      [way * w, y + 20],
    ]),
    outline('pressed', [
      [-way * w, y - 17],
      [-way * (w + 50), y - 30, 24],
      [-way * (w + 92), y - 14, 24],
      [-way * (w + 92), y + 26, 16],
      [-way * (w + 52), y + 10, 18],
      [-way * w, y + 19],
    ]),
    disc('pressed', -way * (w + 104), y + 22, 44),
    disc('inside', -way * (w + 104), y + 22, 30, 'inside'),
  ]
}

/** The outer side of one bank: its exhaust. */
const exhaustEnd = (e: EngineLengths, way: number): readonly Mark[] => {
  const y = -(e.deck + e.head * 0.45)
  const w = e.headHalf
  return [
    outline('cover', [
      [way * w, y - 20],
      [way * (w + 44), y - 14, 10],
      [way * (w + 62), y + 40, 16],
      [way * (w + 44), y + 86, 8],
      [way * (w + 8), y + 60, 14],
      [way * w, y + 22],
    ]),
  ]
}

/** The valley of a vee with its intake over it. */
function valleyEnd(engine: EngineFigure, e: EngineLengths): readonly Mark[] {
  const half = radians(engine.bankDeg / 2)
  const [cos, sin] = [Math.cos(half), Math.sin(half)]
  const x = (e.deck + e.head * 0.5) * sin - e.headHalf * cos
  const y = -((e.deck + e.head * 0.5) * cos + e.headHalf * sin)
  const top = -((e.deck + e.head) * cos + e.headHalf * sin) - 100
  return [
    outline('cover', [
      [-x, y],
      [x, y],
      [0, -(e.deck * cos - 30)],
    ]),
    ...[-1, 1].map((way) =>
      outline('pressed', [
        [way * (x - 4), y + 16],
        [way * 74, y - 20, 40],
        [way * 52, top + 40],
        [way * 26, top + 60],
        [way * 40, y + 6, 30],
        [way * (x - 44), y + 34],
      ]),
    ),
    box('pressed', -112, top + 4, 112, top + 64, 26, 'silhouette'),
    disc('turned', 0, top + 34, 27),
  ]
}

function padsEnd(engine: EngineFigure, half: number): readonly Mark[] {
  const aside = engine.pads ? engine.pads.spreadMm / 2 : half + 38
  const below = engine.pads?.belowMm ?? 48
  return [-1, 1].flatMap((way): Mark[] => [
    outline('cover', [
      [way * (half - 6), -30, 4],
      [way * (aside + 18), below - 44, 6],
      [way * (aside + 18), below - 26, 4],
      [way * (half - 6), 30, 4],
    ]),
    box('rubber', way * aside - 24, below - 26, way * aside + 24, below, 3),
  ])
}
