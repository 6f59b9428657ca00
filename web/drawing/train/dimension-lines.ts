import {
  DIMENSIONS,
  type Dimension,
  dimensionId,
  type View,
} from '../../../core/recipient/dimensions.ts'
import type { TrainFigure } from '../../../core/train/train-figure.ts'
import { bodyLines } from './body-side.ts'
import { type Frame, frameOf, onPage } from './frame.ts'
import { type Bounds, boundsOf } from './mark.ts'
import { type View as SceneView, sceneOf } from './scene.ts'

type Point = readonly [x: number, y: number]

/** A dimension line on the page, px: its ends, the points they are told from, and where its field sits. */
export interface DimensionLine {
  readonly dimension: Dimension
  readonly from: Point
  readonly to: Point
  readonly feet: readonly [Point, Point]
  readonly at: Point
}

export interface DimensionSheet {
  readonly frame: Frame
  readonly height: number
  /** Between its rows, px. */
  readonly drawn: { readonly top: number; readonly height: number }
  readonly lines: readonly DimensionLine[]
  readonly scene: SceneView
}

/** The drawing of the train that a view of the recipient is measured on. */
export const SCENE_OF: Readonly<Record<View, SceneView>> = {
  side: 'side',
  top: 'plan',
  front: 'front',
  tunnel: 'side',
}

/** A length between two points of the drawing, mm; along and across lengths get a row of their own beside it. */
interface Told {
  readonly id: string
  readonly a: Point
  readonly b: Point
  readonly row: 'over' | 'under' | null
}

const ROW = 30
const FIELD = { wide: 78, tall: 26 }
const ASIDE = 42

/** Where each length of a view lies on the drawn train, mm. What is not measured lies where its stand-in is drawn. */
function toldIn(view: View, train: TrainFigure): readonly Told[] {
  const { vehicle, gearbox, transfer } = train
  const b = bodyLines(vehicle)
  const mounts = vehicle.mountsMm ?? train.face.mm + (train.mountsMm ?? -260)
  const plane = vehicle.crankAboveMm ?? 60
  const member = {
    x: mounts + (vehicle.crossmember?.alongMm ?? 750),
    y: plane + (vehicle.crossmember?.belowMm ?? 80),
  }
  const pinion = {
    x: vehicle.pinion ? mounts + vehicle.pinion.along.mm : b.rear - 232,
    y: vehicle.pinion ? plane + vehicle.pinion.belowMm : b.rearHub,
  }
  const opening = vehicle.leverOpening ?? { fromMm: 620, toMm: 820 }
  const core = -vehicle.core.mm * 0.62
  const bell = train.face.mm + train.plates.reduce((sum, { mm }) => sum + mm, 0)
  const end = bell + gearbox.bell.mm + gearbox.length.mm
  const along = (id: string, x0: number, x1: number, row: 'over' | 'under', y = 0): Told => ({
    id,
    a: [x0, y],
    b: [x1, y],
    row,
  })
  const up = (id: string, x: number, y0: number, y1: number): Told => ({
    id,
    a: [x, y0],
    b: [x, y1],
    row: null,
  })
  const half = vehicle.track.mm / 2
  switch (view) {
    case 'side':
      return [
        along('lever-opening/main.toMm', mounts, mounts + opening.toMm, 'over', -200),
        along('lever-opening/main.fromMm', mounts, mounts + opening.fromMm, 'over', -200),
        along('outline/main.firewallMm', 0, vehicle.firewall.mm, 'over', -300),
        along('outline/main.blockFaceMm', 0, vehicle.blockFace.mm, 'over', -200),
        along('outline/main.mountsMm', 0, mounts, 'over', plane),
        along('outline/main.noseMm', b.nose, 0, 'under', 100),
        along('outline/main.frontAxleMm', 0, b.front, 'under', b.frontHub),
        along('crossmember/main.alongMm', mounts, member.x, 'under', member.y),
        along('outline/main.tailMm', b.rear, b.tail, 'under', b.rearHub),
        along('pinion/main.alongMm', mounts, pinion.x, 'under', pinion.y),
        along('outline/main.rearAxleMm', 0, b.rear, 'under', b.rearHub),
        up('outline/main.coreMm', -26, core, core + vehicle.core.mm),
        up('outline/main.crankMm', b.front - b.frontR - 80, 0, b.ground),
        up('chassis-pads/main.crankAboveMm', mounts, 0, plane),
        up('crossmember/main.belowMm', member.x + 90, plane, member.y),
        up('pinion/main.belowMm', pinion.x - 60, plane, pinion.y),
        {
          id: 'pinion/main.noseUpDeg',
          a: [pinion.x, pinion.y],
          b: [pinion.x + 232, pinion.y - 8],
          row: null,
        },
        {
          id: 'pinion/main.travelMm',
          a: [pinion.x - 40, b.rearHub - 240],
          b: [pinion.x + 40, b.rearHub - 240],
          row: null,
        },
      ]
    case 'top':
      return [
        along('bay/main.lengthMm', 0, vehicle.firewall.mm, 'over', -300),
        along('propshaft/main.lengthMm', end + 34, b.rear - 232, 'under', 0),
        up('bay/main.widthMm', train.face.mm - 180, -half + 330, half - 330),
        up('outline/main.widthMm', b.rear, -half, half),
        up(
          'chassis-pads/main.spreadMm',
          mounts,
          -(train.engine.pads?.spreadMm ?? 480) / 2,
          (train.engine.pads?.spreadMm ?? 480) / 2,
        ),
        up('crossmember/main.spacingMm', member.x, -40, 40),
        up('pinion/main.rightMm', b.rear - 150, -60, 0),
        {
          id: 'clutch-pedal/main.travelMm',
          a: [vehicle.firewall.mm + 60, half - 420],
          b: [vehicle.firewall.mm + 200, half - 420],
          row: null,
        },
      ]
    case 'front':
      return [
        up('bay/main.heightMm', 0, -(vehicle.bonnetMm ?? 520), 0),
        along('bay/main.boosterMm', 0, 330, 'over', -330),
        along('bay/main.columnMm', 0, 260, 'under', 60),
        {
          id: 'chassis-pads/main.angleDeg',
          a: [-300, plane + 40],
          b: [-220, plane - 20],
          row: null,
        },
      ]
    case 'tunnel': {
      const station = (id: string, x: number, mm: number | null): Told =>
        up(`tunnel/main.${id}`, x, plane - (mm ?? 300), plane)
      return [
        station('bellMm', bell + gearbox.bell.mm * 0.5, vehicle.tunnel.bellMm),
        station(
          'leverMm',
          bell + (gearbox.leverMm ?? gearbox.bell.mm + gearbox.length.mm / 2),
          vehicle.tunnel.leverMm,
        ),
        station('tailMm', end - 40, vehicle.tunnel.tailMm),
        station('caseMm', end + (transfer?.length.mm ?? 300) / 2, vehicle.tunnel.caseMm),
        along('tunnel/main.widthMm', bell, bell + gearbox.bell.mm, 'under', plane),
      ]
    }
  }
}

/** What of a view is shown, mm. */
function boundsIn(view: View, train: TrainFigure): Bounds {
  const { bounds, train: own } = sceneOf(train, SCENE_OF[view])
  const bell = train.face.mm
  if (view === 'tunnel')
    return {
      x0: bell - 260,
      x1: bell + train.gearbox.bell.mm + train.gearbox.length.mm + 560,
      y0: -420,
      y1: 330,
    }
  // The roof is measured by nothing here: what stands over the train is cut off.
  if (view === 'side') return { ...bounds, y0: Math.max(bounds.y0, boundsOf(own).y0 - 60) }
  return view === 'front' ? { ...bounds, y0: Math.max(bounds.y0, -700) } : bounds
}

/**
 * A view of the recipient with its dimensions laid out for a width, px: lengths along it in rows over and under the
 * drawing, one a row; upright ones at their place, their fields moved aside until none lies over another.
 */
export function dimensionSheet(train: TrainFigure, view: View, width: number): DimensionSheet {
  const told = toldIn(view, train)
  const bounds = boundsIn(view, train)
  const over = told.filter(({ row }) => row === 'over')
  const under = told.filter(({ row }) => row === 'under')
  const top = over.length * ROW + 8
  const drawn = Math.min(360, ((bounds.y1 - bounds.y0) / (bounds.x1 - bounds.x0)) * width)
  const frame = frameOf(bounds, width, drawn, top)
  const taken: Point[] = []
  const free = ([x, y]: Point): boolean =>
    taken.every(
      ([tx, ty]) => Math.abs(tx - x) >= FIELD.wide + 2 || Math.abs(ty - y) >= FIELD.tall + 2,
    )
  const inside = (x: number): number =>
    Math.max(FIELD.wide / 2, Math.min(width - FIELD.wide / 2, x))
  const sit = (x: number, y: number): Point => {
    const tries = [0, 1, -1, 2, -2, 3, -3, 4, -4, 5, -5, 6, -6]
    for (const aside of [0, ASIDE * 2, -ASIDE * 2, ASIDE * 4])
      for (const step of tries) {
        const at: Point = [inside(x + aside), y + step * (FIELD.tall + 3)]
        if (at[1] > top + 12 && at[1] < top + drawn - 12 && free(at)) return at
      }
    return [inside(x), y]
  }
  const rowOf = ({ row, id }: Told): number | null =>
    row === 'over'
      ? 8 + over.findIndex((one) => one.id === id) * ROW + ROW / 2
      : row === 'under'
        ? top + drawn + under.findIndex((one) => one.id === id) * ROW + ROW / 2
        : null
  const lines = told.flatMap((one): DimensionLine[] => {
    const dimension = DIMENSIONS.find((known) => dimensionId(known) === one.id)
    if (!dimension) return []
    const [a, b] = [onPage(frame, one.a), onPage(frame, one.b)]
    const y = rowOf(one)
    const [from, to]: readonly [Point, Point] =
      y === null
        ? [a, b]
        : [
            [a[0], y],
            [b[0], y],
          ]
    const middle: Point = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2]
    const isUpright = y === null && Math.abs(to[1] - from[1]) > Math.abs(to[0] - from[0])
    const at: Point =
      y === null
        ? sit(middle[0] + (isUpright ? ASIDE : 0), middle[1] - (isUpright ? 0 : 18))
        : [inside(middle[0]), y]
    if (y === null) taken.push(at)
    return [{ dimension, from, to, feet: [a, b], at }]
  })
  return {
    frame,
    height: top + drawn + under.length * ROW + 8,
    drawn: { top, height: drawn },
    lines,
    scene: SCENE_OF[view],
  }
}
