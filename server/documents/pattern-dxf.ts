import { Colors, DxfWriter, point2d, point3d, Units } from '@tarikjabiri/dxf'
import DxfParser from 'dxf-parser'
import { type Dowel, type Hole, type Point, PROCESSES } from '../../core/ports/field.ts'

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
      on(layerOf(face.name, 'HOLES', [hole.optional ? 'optional' : '', hole.process ?? '', hole.thread ? `thread ${hole.thread}` : '']))
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
  const low = Math.min(-CROSS_MM, ...faces.flatMap((face) => [...face.holes, ...face.dowels, ...face.outline].map(({ y }) => y))) - 30
  dxf.addLine(point3d(-SCALE_MM / 2, low), point3d(SCALE_MM / 2, low))
  return dxf.stringify()
}

/** Marks that a layer's name may not hold. */
const ESCAPES: readonly (readonly [string, string])[] = [
  ['/', '~'],
  ['"', '!'],
]
const layerOf = (face: string, what: string, marks: readonly string[]): string =>
  [face.replace(/[<>/\\":;?*|=,`$]/g, ' '), what, ...marks.filter(Boolean)].map((part) => ESCAPES.reduce((text, [from, to]) => text.replaceAll(from, to), part)).join('$')

export class DxfError extends Error {}

interface Entity {
  readonly type: string
  readonly layer: string
  readonly center?: Point
  readonly radius?: number
  readonly vertices?: readonly Point[]
}

/**
 * Reads a pattern from DXF. Layers of our own come back as they went; in another's file circles are through holes, those
 * on a layer named for dowels are dowels, and the longest closed line is the outline. Millimetres, or what the file says.
 *
 * @throws DxfError when the file is no DXF, or holds no circle
 */
export function patternFromDxf(text: string): PatternFace[] {
  let read: { entities?: Entity[]; header?: Record<string, unknown> } | null
  try {
    read = new DxfParser().parseSync(text) as typeof read
  } catch (error) {
    throw new DxfError(`The file cannot be read as DXF: ${(error as Error).message}. Save it as ASCII DXF.`)
  }
  const scale = UNIT_MM[Number(read?.header?.$INSUNITS ?? 4)] ?? 1
  const faces = new Map<string, { holes: Hole[]; dowels: Dowel[]; outlines: Point[][]; registerMm?: number }>()
  for (const entity of read?.entities ?? []) {
    const [face = '', what = '', ...marks] = entity.layer.split('$').map((part) => ESCAPES.reduce((name, [from, to]) => name.replaceAll(to, from), part))
    const name = what === '' ? 'Face' : face
    const held = faces.get(name) ?? { holes: [], dowels: [], outlines: [] }
    if (entity.type === 'CIRCLE' && entity.center && entity.radius) {
      const process = PROCESSES.find((one) => marks.includes(one))
      const place = { x: tidy(entity.center.x * scale), y: tidy(entity.center.y * scale), d: tidy(entity.radius * 2 * scale), ...(process ? { process } : {}) }
      if (what === 'REGISTER') held.registerMm = place.d
      else if (what === 'DOWELS' || (what === '' && /dowel/i.test(entity.layer))) held.dowels.push({ ...place, ...(marks.includes('pin') ? { pin: true } : {}) })
      else {
        const thread = marks.find((mark) => mark.startsWith('thread '))?.slice('thread '.length)
        held.holes.push({ ...place, ...(thread ? { thread } : {}), ...(marks.includes('optional') ? { optional: true } : {}) })
      }
    } else if (/POLYLINE/.test(entity.type) && entity.vertices) held.outlines.push(entity.vertices.map(({ x, y }) => ({ x: tidy(x * scale), y: tidy(y * scale) })))
    else continue
    faces.set(name, held)
  }
  const found = [...faces].filter(([, { holes, dowels }]) => holes.length + dowels.length > 0)
  if (found.length === 0) throw new DxfError('The file holds no circles: holes are read from circles. Check that they are not drawn as arcs or blocks.')
  return found.map(([name, { holes, dowels, outlines, registerMm }]) => ({
    name,
    holes,
    dowels,
    outline: outlines.sort((p, q) => q.length - p.length)[0] ?? [],
    ...(registerMm === undefined ? {} : { registerMm }),
  }))
}

/** Drawing units of the format, in mm. */
const UNIT_MM: Readonly<Record<number, number>> = { 1: 25.4, 2: 304.8, 4: 1, 5: 10, 6: 1000 }
/** A millionth of a millimetre is the file's rounding, not a place. */
const tidy = (value: number): number => Number(value.toFixed(6))
