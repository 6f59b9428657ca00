import type { StripPlace } from '../../core/joints/joint.ts'
import type { Strip } from '../../core/pairing/strip.ts'

/** What a shape stands for, so that the drawing can tone it. */
export type Tone =
  | 'part'
  | 'plate'
  | 'added'
  | 'vehicle'
  | 'pan'
  | 'under'
  | 'moving'
  | 'mount'
  | 'shaft'

export interface Shape {
  readonly id: string
  readonly tone: Tone
  readonly known: boolean
  /** Corners, mm: x rearward from the radiator; y down from the crank axis (side) or right from the centre line (plan). */
  readonly points?: readonly (readonly [number, number])[]
  readonly circle?: { readonly x: number; readonly y: number; readonly r: number }
}

export type View = 'side' | 'plan'

export interface StripDrawing {
  readonly shapes: readonly Shape[]
  /** Where each joint is, mm. */
  readonly joints: Readonly<Record<string, readonly [number, number]>>
  readonly toMm: number
}

const CRANK_TO_PAN = 170
const WHEEL = 315
const box = (
  id: string,
  tone: Tone,
  known: boolean,
  x0: number,
  y0: number,
  x1: number,
  y1: number,
): Shape => ({
  id,
  tone,
  known,
  points: [
    [x0, y0],
    [x1, y0],
    [x1, y1],
    [x0, y1],
  ],
})

/** The strip as shapes in the vehicle's frame, seen from its left side or from above, by layout. */
export function stripShapes(strip: Strip, view: View): StripDrawing {
  const train = strip.layout === 'crosswise' ? crosswise(strip, view) : alongTrain(strip, view)
  return {
    ...train,
    shapes: [...vehicle(strip, view), ...train.shapes],
    toMm: Math.max(strip.rearAxle.mm + WHEEL, train.toMm) + 80,
  }
}

function vehicle(strip: Strip, view: View): Shape[] {
  const { frontAxle, rearAxle, firewall, track } = strip
  const half = track.mm / 2
  const radiator =
    view === 'side'
      ? box('radiator', 'vehicle', true, 0, -180, 34, 240)
      : box('radiator', 'vehicle', true, 0, -330, 34, 330)
  if (view === 'side')
    return [
      radiator,
      {
        id: 'front wheel',
        tone: 'vehicle',
        known: frontAxle.known,
        circle: { x: frontAxle.mm, y: 60, r: WHEEL },
      },
      {
        id: 'rear wheel',
        tone: 'vehicle',
        known: rearAxle.known,
        circle: { x: rearAxle.mm, y: 60, r: WHEEL },
      },
      {
        id: 'firewall',
        tone: 'vehicle',
        known: firewall.known,
        points: [
          [firewall.mm, -420],
          [firewall.mm, 150],
          [firewall.mm + 60, 210],
          [rearAxle.mm - 330, 210],
        ],
      },
    ]
  const wheels = [frontAxle, rearAxle].flatMap((axle, i) =>
    [-1, 1].map((side) =>
      box(
        `${i === 0 ? 'front' : 'rear'} ${side < 0 ? 'left' : 'right'} wheel`,
        'vehicle',
        axle.known && track.known,
        axle.mm - WHEEL,
        side * half - 90,
        axle.mm + WHEEL,
        side * half + 90,
      ),
    ),
  )
  return [
    radiator,
    ...wheels,
    {
      id: 'firewall',
      tone: 'vehicle',
      known: firewall.known,
      points: [
        [firewall.mm, -half + 90],
        [firewall.mm, half - 90],
      ],
    },
  ]
}

/** Lengthwise ahead of the firewall, or mid, ahead of the rear axle: the crank along the vehicle. */
function alongTrain(strip: Strip, view: View): StripDrawing {
  const { engine, bell, gearbox, plates, rearAxle } = strip
  const isMid = strip.layout === 'mid'
  const plateMm = plates.reduce((sum, plate) => sum + plate.mm, 0)
  // A mid engine stands ahead of the rear axle, its transaxle around it.
  const face = isMid ? rearAxle.mm - plateMm - bell.mm - gearbox.length.mm / 3 : strip.blockFace.mm
  const bellFrom = face + plateMm
  const boxFrom = bellFrom + bell.mm
  const boxTo = boxFrom + gearbox.length.mm
  const side = view === 'side'
  const [top, bottom] = side
    ? [CRANK_TO_PAN - engine.height.mm, CRANK_TO_PAN]
    : [-engine.width.mm / 2, engine.width.mm / 2]
  const wide = (side ? gearbox.height.mm : gearbox.width.mm) / 2
  const isFaceKnown = isMid ? rearAxle.known : strip.blockFace.known
  const shapes: Shape[] = [
    ...(side ? underShapes(strip, face) : []),
    box(
      'engine',
      'part',
      engine.length.known && isFaceKnown,
      face - engine.length.mm,
      top,
      face,
      bottom,
    ),
    ...(side
      ? strip.sump.map((zone, i) =>
          box(`pan ${i + 1}`, 'pan', true, face + zone.fromMm, 40, face + zone.toMm, zone.depthMm),
        )
      : []),
    ...plateShapes(strip, face, (at, mm) => [at, -215, at + mm, 215]),
    {
      id: 'bell',
      tone: 'part',
      known: bell.known,
      points: [
        [bellFrom, -200],
        [boxFrom, -115],
        [boxFrom, 115],
        [bellFrom, 200],
      ],
    },
    box('gearbox', 'part', gearbox.length.known, boxFrom, -wide, boxTo, wide),
    ...mountShapes(strip, view, face, bellFrom),
  ]
  if (isMid) shapes.push(...driveShafts(strip, view, rearAxle.mm))
  else if (side)
    shapes.push(
      {
        id: 'propshaft',
        tone: 'shaft',
        known: false,
        points: [
          [boxTo, 0],
          [rearAxle.mm - 105, 0],
        ],
      },
      {
        id: 'rear axle',
        tone: 'part',
        known: rearAxle.known,
        circle: { x: rearAxle.mm, y: 0, r: 105 },
      },
    )
  else
    shapes.push(
      {
        id: 'propshaft',
        tone: 'shaft',
        known: false,
        points: [
          [boxTo, 0],
          [rearAxle.mm - 105, 0],
        ],
      },
      ...driveShafts(strip, view, rearAxle.mm),
    )
  const meet: [number, number] = [face, 0]
  return {
    shapes,
    joints: jointsAt(strip, {
      meeting: meet,
      gearbox: [boxFrom + gearbox.length.mm / 2, 0],
      'gearbox mount': [bellFrom + (strip.gearboxPad?.alongMm ?? gearbox.length.mm), wide],
      'engine mounts': [face + (strip.enginePads?.alongMm ?? -engine.length.mm / 2), 40],
      sump: [face - engine.length.mm / 2, CRANK_TO_PAN],
    }),
    toMm: boxTo,
  }
}

/** Crosswise between the front wheels: the crank across the vehicle, the gearbox beside the engine, final drive in it. */
function crosswise(strip: Strip, view: View): StripDrawing {
  const { engine, bell, gearbox, plates, frontAxle } = strip
  const plateMm = plates.reduce((sum, plate) => sum + plate.mm, 0)
  const whole = engine.length.mm + plateMm + bell.mm + gearbox.length.mm
  const ahead = frontAxle.mm - engine.width.mm / 2 - 60
  const behind = ahead + engine.width.mm
  const mid = (ahead + behind) / 2
  const from = -whole / 2
  const face = from + engine.length.mm
  const bellFrom = face + plateMm
  const boxFrom = bellFrom + bell.mm
  const side = view === 'side'
  // The end of the train is what one sees from the side: the engine's width, its height, and the final drive on the axle.
  const shapes: Shape[] = side
    ? [
        box(
          'engine',
          'part',
          engine.width.known && engine.height.known && frontAxle.known,
          ahead,
          CRANK_TO_PAN - engine.height.mm,
          behind,
          CRANK_TO_PAN,
        ),
        {
          id: 'gearbox',
          tone: 'part',
          known: gearbox.height.known,
          circle: { x: mid, y: 0, r: gearbox.height.mm / 2 },
        },
        {
          id: 'final drive',
          tone: 'shaft',
          known: frontAxle.known,
          circle: { x: frontAxle.mm, y: 60, r: 60 },
        },
      ]
    : [
        box('engine', 'part', engine.length.known && frontAxle.known, ahead, from, behind, face),
        ...plateShapes(strip, face, (at, mm) => [mid - 215, at, mid + 215, at + mm]),
        {
          id: 'bell',
          tone: 'part',
          known: bell.known,
          points: [
            [mid - 200, bellFrom],
            [mid - 115, boxFrom],
            [mid + 115, boxFrom],
            [mid + 200, bellFrom],
          ],
        },
        box(
          'gearbox',
          'part',
          gearbox.length.known,
          mid - gearbox.width.mm / 2,
          boxFrom,
          mid + gearbox.width.mm / 2,
          boxFrom + gearbox.length.mm,
        ),
        ...driveShafts(strip, view, frontAxle.mm),
      ]
  const meet: [number, number] = side ? [mid, 0] : [mid, face]
  return {
    shapes,
    joints: jointsAt(strip, {
      meeting: meet,
      gearbox: side ? [mid, 60] : [mid, boxFrom + 100],
      'gearbox mount': [behind, side ? 80 : boxFrom + 150],
      'engine mounts': [ahead, side ? 40 : from + 150],
      sump: [mid, side ? CRANK_TO_PAN : from + 200],
    }),
    toMm: behind,
  }
}

/** Each joint at its place on the strip, as it declares. */
const jointsAt = (
  { joints }: Strip,
  places: Readonly<Record<StripPlace, readonly [number, number]>>,
): Record<string, readonly [number, number]> =>
  Object.fromEntries(Object.entries(joints).map(([id, place]) => [id, places[place]]))

/** Plates too thin to see are given a hair of width, no more. */
function plateShapes(
  strip: Strip,
  from: number,
  corners: (at: number, mm: number) => readonly [number, number, number, number],
): Shape[] {
  let at = from
  return strip.plates.map((plate, i) => {
    const [x0, y0, x1, y1] = corners(at, Math.max(plate.mm, 6))
    at += plate.mm
    return box(`plate ${i + 1}`, plate.added ? 'added' : 'plate', plate.known, x0, y0, x1, y1)
  })
}

const underShapes = (strip: Strip, face: number): Shape[] =>
  strip.under.map((zone, i) =>
    box(
      zone.name ?? `under ${i + 1}`,
      zone.moving ? 'moving' : 'under',
      true,
      face + zone.fromMm,
      zone.depthMm,
      face + zone.toMm,
      zone.depthMm + 60,
    ),
  )

function mountShapes(strip: Strip, view: View, face: number, bellFrom: number): Shape[] {
  const marks: Shape[] = []
  const mark = (id: string, x: number, y: number): void =>
    void marks.push(box(id, 'mount', true, x - 22, y - 22, x + 22, y + 22))
  const { enginePads, gearboxPad } = strip
  if (enginePads && view === 'side') mark('engine mount', face + enginePads.alongMm, 40)
  if (enginePads && view === 'plan')
    for (const way of [-1, 1])
      mark(
        `engine mount ${way < 0 ? 'left' : 'right'}`,
        face + enginePads.alongMm,
        (way * enginePads.spreadMm) / 2,
      )
  if (gearboxPad) mark('gearbox mount', bellFrom + gearboxPad.alongMm, view === 'side' ? 125 : 0)
  return marks
}

function driveShafts(strip: Strip, view: View, axleMm: number): Shape[] {
  if (view === 'side')
    return [
      {
        id: 'drive shafts',
        tone: 'shaft',
        known: strip.track.known,
        circle: { x: axleMm, y: 60, r: 40 },
      },
    ]
  const half = strip.track.mm / 2 - 90
  return [
    {
      id: 'drive shafts',
      tone: 'shaft',
      known: strip.track.known,
      points: [
        [axleMm, -half],
        [axleMm, half],
      ],
    },
  ]
}
