import { Colors, DxfWriter, point2d, point3d, Units } from '@tarikjabiri/dxf'
import {
  type Dowel,
  FACE_SPAN_MM,
  HOLE_MOST_MM,
  type Hole,
  type Point,
  PROCESSES,
} from '../../core/ports/field.ts'
import { type DxfEntity, readDrawing } from './dxf-entities.ts'
import { FileFault } from './file-fault.ts'

/** One face of a part as it goes out to a cutter: mm, train frame, the axis at 0, 0. */
export interface PatternFace {
  /** What the face is called; its layers begin with it. */
  readonly name: string
  readonly holes: readonly Hole[]
  readonly dowels: readonly Dowel[]
  readonly outline: readonly Point[]
  /** Bore or spigot on the axis, where the plate carries one. */
  readonly registerMm?: number
}

const SCALE_MM = 100
const CROSS_MM = 10

/**
 * Writes faces as DXF in millimetres: each face's holes, tapped holes, dowels, register and outline on layers named for what they
 * are, the axis as a cross, and a line of 100 mm to check the scale by. What a hole is stands in its layer's name, so
 * that the file comes back to the same pattern.
 */
export function patternToDxf(faces: readonly PatternFace[]): string {
  const dxf = new DxfWriter()
  dxf.setUnits(Units.Millimeters)
  const layers = new Set<string>()
  const on = (layer: string): string => {
    if (!layers.has(layer)) dxf.addLayer(layer, Colors.White, 'Continuous')
    layers.add(layer)
    dxf.setCurrentLayerName(layer)
    return layer
  }
  for (const face of faces) {
    for (const hole of face.holes) {
      on(
        layerOf(face.name, 'HOLES', [
          hole.optional ? 'optional' : '',
          hole.process ?? '',
          hole.thread ? `thread ${hole.thread}` : '',
        ]),
      )
      dxf.addCircle(point3d(hole.x, hole.y), hole.d / 2)
    }
    for (const dowel of face.dowels) {
      on(layerOf(face.name, 'DOWELS', [dowel.pin ? 'pin' : '', dowel.process ?? '']))
      dxf.addCircle(point3d(dowel.x, dowel.y), dowel.d / 2)
    }
    if (face.registerMm) {
      on(layerOf(face.name, 'REGISTER', []))
      dxf.addCircle(point3d(0, 0), face.registerMm / 2)
    }
    if (face.outline.length > 0) {
      on(layerOf(face.name, 'OUTLINE', []))
      dxf.addLWPolyline(
        face.outline.map(({ x, y }) => ({ point: point2d(x, y) })),
        { flags: 1 },
      )
    }
  }
  on('AXIS')
  dxf.addLine(point3d(-CROSS_MM, 0), point3d(CROSS_MM, 0))
  dxf.addLine(point3d(0, -CROSS_MM), point3d(0, CROSS_MM))
  on('SCALE 100 mm')
  const low =
    Math.min(
      -CROSS_MM,
      ...faces.flatMap((face) =>
        [...face.holes, ...face.dowels, ...face.outline].map(({ y }) => y),
      ),
    ) - 30
  dxf.addLine(point3d(-SCALE_MM / 2, low), point3d(SCALE_MM / 2, low))
  return dxf.stringify()
}

/** Marks that a layer's name may not hold, and those they stand as. */
const PLAIN: readonly (readonly [string, string])[] = [
  ['/', '~'],
  ['"', '!'],
]
const FORBIDDEN = /[<>/\\":;?*|=,`$~!\p{Cc}]/gu

const encode = (part: string): string => {
  const plain = PLAIN.reduce((text, [from, to]) => text.replaceAll(from, to), part)
  return !plain.replace(/[~!]/g, '').match(FORBIDDEN) && decode(plain) === part
    ? plain
    : part.replace(FORBIDDEN, (mark) => `~${mark.charCodeAt(0).toString(16).toUpperCase()}~`)
}
const decode = (part: string): string =>
  part.replace(/~([0-9A-F]{1,2})~|[~!]/g, (mark, hex: string | undefined) =>
    hex ? String.fromCharCode(Number.parseInt(hex, 16)) : mark === '~' ? '/' : '"',
  )

/** Face, what it is and marks as one layer's name; `layerParts` reads it back, whatever the face is called. */
const layerOf = (face: string, what: string, marks: readonly string[]): string =>
  [face, what, ...marks.filter(Boolean)].map(encode).join('$')
const layerParts = (layer: string): string[] => layer.split('$').map(decode)

interface Gathering {
  readonly holes: Hole[]
  readonly dowels: Dowel[]
  readonly outlines: Point[][]
  registerMm?: number
}

/**
 * Reads a pattern from DXF. Layers of our own come back as they went; in another's file circles are through holes, those
 * on a layer named for dowels are dowels, and the longest closed line is the outline. Millimetres, or what the file says.
 *
 * @returns faces, and a sentence on each circle that can be no hole
 * @throws FileFault when the file is no DXF, a figure cannot be one of a face, or it holds no circle
 */
export function patternFromDxf(text: string): { faces: PatternFace[]; notes: string[] } {
  const { units, entities } = readDrawing(text)
  const scale = UNIT_MM[units ?? 4] ?? 1
  const faces = new Map<string, Gathering>()
  const notes: string[] = []
  for (const entity of entities) {
    const [face = '', what = '', ...marks] = layerParts(entity.layer)
    const name = what === '' ? 'Face' : face
    const held = faces.get(name) ?? { holes: [], dowels: [], outlines: [] }
    if (entity.type === 'polyline')
      held.outlines.push(entity.vertices.map((point) => placeMm(point, scale, entity)))
    else {
      const { x, y } = placeMm(entity.center, scale, entity)
      const d = tidy(entity.radius * 2 * scale)
      if (!(entity.radius > 0) || d > 2 * FACE_SPAN_MM)
        throw new FileFault(
          `Line ${entity.line}: a circle of radius ${tidy(entity.radius * scale)} mm. On a face it is more than 0 and at most ${FACE_SPAN_MM} mm: check the units of the drawing.`,
        )
      if (what === 'REGISTER') held.registerMm = d
      else if (d > HOLE_MOST_MM)
        notes.push(`Line ${entity.line}: a circle of Ø ${d} mm is no hole and was left out.`)
      else if (what === 'DOWELS' || (what === '' && /dowel/i.test(entity.layer)))
        held.dowels.push({
          x,
          y,
          d,
          ...processOf(marks),
          ...(marks.includes('pin') ? { pin: true } : {}),
        })
      else {
        const thread = marks.find((mark) => mark.startsWith('thread '))?.slice('thread '.length)
        held.holes.push({
          x,
          y,
          d,
          ...processOf(marks),
          ...(thread ? { thread } : {}),
          ...(marks.includes('optional') ? { optional: true } : {}),
        })
      }
    }
    faces.set(name, held)
  }
  const found = [...faces].filter(([, { holes, dowels }]) => holes.length + dowels.length > 0)
  if (found.length === 0)
    throw new FileFault(
      [
        'The file holds no circles that can be holes: check that they are not drawn as arcs or blocks, and the units of the drawing.',
        ...notes.slice(0, 5),
      ].join(' '),
    )
  const read = found.map(([name, { holes, dowels, outlines, registerMm }]) => ({
    name,
    holes,
    dowels,
    outline: outlines.sort((p, q) => q.length - p.length)[0] ?? [],
    ...(registerMm === undefined ? {} : { registerMm }),
  }))
  return { faces: read, notes: notes.slice(0, 50) }
}

function processOf(marks: readonly string[]): Pick<Hole, 'process'> {
  const process = PROCESSES.find((one) => marks.includes(one))
  return process ? { process } : {}
}

function placeMm({ x, y }: Point, scale: number, { line }: DxfEntity): Point {
  const place = { x: tidy(x * scale), y: tidy(y * scale) }
  if (Math.max(Math.abs(place.x), Math.abs(place.y)) > FACE_SPAN_MM)
    throw new FileFault(
      `Line ${line}: ${place.x}, ${place.y} mm is further than ${FACE_SPAN_MM} mm from the origin, which is the axis. Move the drawing there, and check its units.`,
    )
  return place
}

/** Drawing units of the format, in mm. */
const UNIT_MM: Readonly<Record<number, number>> = { 1: 25.4, 2: 304.8, 4: 1, 5: 10, 6: 1000 }
/** A millionth of a millimetre is the file's rounding, not a place. */
const tidy = (value: number): number => Number(value.toFixed(6))
