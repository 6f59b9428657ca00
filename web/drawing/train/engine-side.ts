import type { EngineFigure } from '../../../core/train/engine-figure.ts'
import { type Section, sectionsOf, seenFromSide } from './bank.ts'
import { asCharger, chargerSide } from './charger.ts'
import { insideSide } from './engine-inside.ts'
import { acrossCrank, type EngineLengths, engineLengths, SKIRT } from './engine-lengths.ts'
import { frontCoverSide, frontDriveSide } from './front-drive.ts'
import { as, box, type Corner, disc, from, line, type Mark, outline } from './mark.ts'
import { panSide, panZones } from './pan.ts'

const FACE_HALF = 205
/** A turbocharger hangs under its manifold; a blower stands on the plenum of a vee. */
const CHARGER_UNDER = 150
const VALLEY_TALL = 88

/** An engine seen from its left, x back from its block face, y down from the crank axis. */
export function engineSide(engine: EngineFigure): readonly Mark[] {
  const e = engineLengths(engine)
  const isRow = engine.arrangement === 'in line'
  // From the left one sees the left bank: what leans to the left leans towards one.
  const near = e.leans[0]!
  const sections = sectionsOf(e, isRow)
  const head = seenFromSide(sections[1]!.corners, near)
  const cover = seenFromSide(sections[2]!.corners, near)
  const known = engine.isKind && (engine.bore.known || engine.length.known)
  const coverTop =
    engine.cams === 'head' && isRow ? head.top - (head.top - cover.top) * 0.55 : -e.deck * 0.68
  return [
    ...as('pan', engine.sump.length > 0, panSide(panZones(engine.sump, e))),
    ...as('engine', known, [
      ...(isRow ? [] : valleySide(e, Math.min(head.top, cover.top))),
      box(
        'casting',
        e.blockFront,
        isRow ? seenFromSide(sections[0]!.corners, near).top : -(e.stroke / 2 + 66),
        0,
        SKIRT,
        0,
        'silhouette',
      ),
      ...from('inside', [
        line('inside', [
          [e.blockFront, SKIRT - 14],
          [0, SKIRT - 14],
        ]),
      ]),
      ...sections.flatMap((section) =>
        section.name === 'bank' && isRow ? [] : sectionSide(section, e, near),
      ),
    ]),
    ...as('engine', known && engine.stroke.known, insideSide(engine, e)),
    ...as('engine', known, [
      ...plugsSide(engine, e, head, cover),
      ...manifoldSide(engine, e, near),
      ...frontCoverSide(e, coverTop),
      box('cover', -14, -Math.min(e.deck * 0.86, FACE_HALF), 0, SKIRT + 6, 3),
      ...frontDriveSide(engine, e),
      ...filterSide(e.blockFront * 0.3),
    ]),
    ...asCharger(
      engine,
      chargerSide(
        engine,
        e,
        acrossCrank(-e.headHalf, e.deck + e.head * 0.42, near)[1] + CHARGER_UNDER,
        Math.min(head.top, cover.top) - (isRow ? 0 : VALLEY_TALL),
      ),
    ),
    ...as('engine mount', engine.pads !== null, mountSide(engine, e)),
  ]
}

/** A casting of the near bank: its height as it leans, with the edges one sees along it. */
function sectionSide(
  { look, corners, ends }: Section,
  e: EngineLengths,
  lean: number,
): readonly Mark[] {
  const { top, bottom, edges } = seenFromSide(corners, lean)
  const [x0, x1] = [e.blockFront + ends[0], ends[1]]
  return [
    box(look, x0, top, x1, bottom, look === 'pressed' ? 14 : 4, 'silhouette'),
    ...from(
      'casting',
      edges.map((y) =>
        line('inside', [
          [x0 + 6, y],
          [x1 - 6, y],
        ]),
      ),
    ),
  ]
}

/** What stands in the valley and over it: the plenum with its runners. */
function valleySide(e: EngineLengths, low: number): readonly Mark[] {
  const top = low - 110
  const front = e.blockFront
  return [
    outline(
      'pressed',
      [
        [front + 50, low + 40, 10],
        [front + 58, top + 46, 16],
        [front + 110, top + 22, 16],
        [-120, top + 22, 16],
        [-70, top + 46, 16],
        [-60, low + 40, 10],
      ],
      'silhouette',
    ),
    box('turned', front + 30, top + 40, front + 64, top + 106, 6),
    ...from(
      'inside',
      e.xs.flatMap((x) => [
        line('inside', [
          [x + 10, top + 50],
          [x + 4, low + 30],
        ]),
        line('inside', [
          [x + 36, top + 50],
          [x + 30, low + 30],
        ]),
      ]),
    ),
  ]
}

/** Coils or plugs on the cover, one a cylinder, and the filler: one counts the cylinders by them. */
function plugsSide(
  engine: EngineFigure,
  e: EngineLengths,
  head: { readonly top: number; readonly bottom: number },
  cover: { readonly top: number },
): readonly Mark[] {
  if (engine.arrangement === 'in line')
    return [
      ...e.xs.map((x) => box('turned', x - 13, cover.top - 9, x + 13, cover.top + 9, 3)),
      box(
        'casting',
        e.xs[0]! + e.spacing / 2 - 20,
        cover.top - 17,
        e.xs[0]! + e.spacing / 2 + 20,
        cover.top - 6,
        4,
      ),
    ]
  const y = (head.top + head.bottom * 2) / 3
  return e.xs.map((x) => disc('turned', x + 12, y - 18, 7))
}

/** Manifold on the near side: exhaust where it is hot there, intake runners where it is not. */
function manifoldSide(engine: EngineFigure, e: EngineLengths, lean: number): readonly Mark[] {
  const isRow = engine.arrangement === 'in line'
  const isHot = engine.hot === 'left' || engine.hot === 'both'
  const y = acrossCrank(-e.headHalf, e.deck + e.head * 0.42, lean)[1]
  if (isRow && !isHot) return intakeSide(e, y)
  const [first, last] = [e.xs[0]!, e.xs.at(-1)!]
  const middle = (first + last) / 2 + 20
  const log = y + 34
  return [
    ...e.xs.map((x) => box('turned', x - 24, y - 24, x + 24, y + 24, 4)),
    outline('cover', [
      [first - 19, y - 17],
      [first + 19, y - 17, 4],
      [first + 34, y + 24, 12],
      [last - 34, y + 24, 12],
      [last - 19, y - 17, 4],
      [last + 19, y - 17],
      [last + 22, log + 20, 24],
      [middle + 54, log + 34, 20],
      [middle + 38, log + 62, 10],
      [middle + 38, log + 120],
      [middle - 8, log + 120],
      [middle - 8, log + 62, 10],
      [middle - 26, log + 34, 20],
      [first - 8, log + 34, 26],
    ]),
    ...e.xs.slice(1, -1).flatMap((x) => [
      box('cover', x - 19, y - 17, x + 19, y + 30, 3),
      ...from('inside', [
        line('inside', [
          [x - 17, y + 28],
          [x + 17, y + 28],
        ]),
      ]),
    ]),
    box('turned', middle - 31, log + 118, middle + 61, log + 131, 3),
  ]
}

/** Runners down to a plenum, the throttle ahead of it. */
const intakeSide = (e: EngineLengths, y: number): readonly Mark[] => {
  const [first, last] = [e.xs[0]!, e.xs.at(-1)!]
  return [
    ...e.xs.map((x) =>
      outline('cover', [
        [x - 18, y - 18, 4],
        [x + 18, y - 18, 4],
        [x + 18, y + 30, 20],
        [x + 10, y + 68],
        [x - 16, y + 68],
        [x - 18, y + 30, 10],
      ]),
    ),
    box('pressed', first - 40, y + 48, last + 30, y + 112, 22),
    box('turned', first - 74, y + 52, first - 38, y + 108, 6),
    disc('inside', first - 56, y + 80, 19, 'inside'),
  ]
}

const filterSide = (x: number): readonly Mark[] => [
  box('cover', x - 30, -30, x + 30, -15, 2),
  box('pressed', x - 40, -16, x + 40, 76, 12),
  ...from('inside', [
    line('inside', [
      [x - 38, 0],
      [x + 38, 0],
    ]),
  ]),
]

const MOUNT_STAND_IN = { alongOf: 0.52, belowMm: 60 }

/** Bracket and rubber where its pads were measured; a stand-in at the middle of the block. */
function mountSide(engine: EngineFigure, e: EngineLengths): readonly Mark[] {
  const x = engine.pads?.alongMm ?? e.blockFront * MOUNT_STAND_IN.alongOf
  const below = engine.pads?.belowMm ?? MOUNT_STAND_IN.belowMm
  const corners: Corner[] = [
    [x - 46, Math.min(-36, below - 60), 6],
    [x + 46, Math.min(-36, below - 60), 6],
    [x + 22, below - 26, 4],
    [x - 22, below - 26, 4],
  ]
  return [
    outline('cover', corners),
    box('rubber', x - 34, below - 26, x + 34, below, 3),
    box('turned', x - 46, below, x + 46, below + 9, 2),
  ]
}
