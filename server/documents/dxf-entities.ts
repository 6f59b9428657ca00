import { FILE_LIMITS } from '../../contract/files.ts'
import type { Point } from '../../core/ports/field.ts'
import { FileFault } from './file-fault.ts'

/** A circle or a polyline of a drawing, in drawing units; `line` is where it begins in the file. */
export type DxfEntity =
  | {
      readonly type: 'circle'
      readonly layer: string
      readonly line: number
      readonly center: Point
      readonly radius: number
    }
  | {
      readonly type: 'polyline'
      readonly layer: string
      readonly line: number
      readonly vertices: readonly Point[]
    }

export interface Drawing {
  /** `$INSUNITS`; null where the file does not say. */
  readonly units: number | null
  readonly entities: readonly DxfEntity[]
}

interface Group {
  readonly code: number
  readonly value: string
  readonly line: number
}

/**
 * Reads the circles and polylines of an ASCII DXF, one pair of lines after the other: whatever the file holds, it ends.
 * Other entities, tables and blocks are passed over. What is drawn seen from below (extrusion −Z) is turned over, by the
 * format's arbitrary axis rule. Written here because ready-made readers neither end on an open polyline nor tell lines.
 *
 * @throws FileFault naming the line
 */
export function readDrawing(text: string): Drawing {
  const entities: DxfEntity[] = []
  let units: number | null = null
  let section = ''
  let variable = ''
  let count = 0
  const now: { held: Held | null; open: OpenPolyline | null } = { held: null, open: null }
  const close = (): void => {
    const { held } = now
    now.held = null
    if (held?.type === 'VERTEX') now.open?.vertices.push(placeOf(held))
    else if (held?.type === 'POLYLINE')
      now.open = { layer: held.layer, line: held.line, vertices: [], isMirrored: held.isMirrored }
    else if (held) entities.push(finish(held))
  }
  for (const { code, value, line } of groups(text)) {
    if (code === 0) {
      close()
      const type = value.trim().toUpperCase()
      if (now.open && type !== 'VERTEX') {
        const { layer, line: began, vertices, isMirrored } = now.open
        if (type !== 'SEQEND')
          throw new FileFault(
            `Line ${line}: the POLYLINE begun on line ${began} has no SEQEND before ${type || 'the next entity'}. Save the drawing again.`,
          )
        entities.push({
          type: 'polyline',
          layer,
          line: began,
          vertices: vertices.map((point) => turned(point, isMirrored)),
        })
        now.open = null
      }
      if (type === 'EOF') break
      if (type === 'ENDSEC') section = ''
      if (type === 'SECTION') section = '?'
      else if (section === 'ENTITIES') {
        if (++count > FILE_LIMITS.entities)
          throw new FileFault(
            `The drawing holds more than ${FILE_LIMITS.entities} entities. Save only the face, on a drawing of its own.`,
          )
        if (READ.has(type))
          now.held = {
            type,
            layer: '0',
            line,
            isMirrored: false,
            figures: new Map(),
            xs: [],
            ys: [],
          }
      }
    } else if (section === '?' && code === 2) section = value.trim().toUpperCase()
    else if (section === 'HEADER') {
      if (code === 9) variable = value.trim()
      else if (code === 70 && variable === '$INSUNITS') units = figure(value, line, '$INSUNITS')
    } else if (now.held) take(now.held, code, value, line)
  }
  close()
  if (now.open)
    throw new FileFault(
      `The file ends inside the POLYLINE begun on line ${now.open.line}: it has no SEQEND. Save the drawing again.`,
    )
  return { units, entities }
}

const READ = new Set(['CIRCLE', 'LWPOLYLINE', 'POLYLINE', 'VERTEX'])

interface Held {
  readonly type: string
  layer: string
  readonly line: number
  isMirrored: boolean
  readonly figures: Map<number, { readonly value: number; readonly line: number }>
  readonly xs: number[]
  readonly ys: number[]
}

interface OpenPolyline {
  readonly layer: string
  readonly line: number
  readonly vertices: Point[]
  readonly isMirrored: boolean
}

/** Pairs of lines: a whole number, then what it stands for. */
function* groups(text: string): Generator<Group> {
  let at = 0
  let number = 0
  const next = (): string | null => {
    if (at >= text.length) return null
    const end = text.indexOf('\n', at)
    const line = text.slice(at, end < 0 ? text.length : end)
    at = end < 0 ? text.length : end + 1
    number++
    return line.endsWith('\r') ? line.slice(0, -1) : line
  }
  for (let code = next(); code !== null; code = next()) {
    if (code.trim() === '' && at >= text.length) return
    if (!/^\s*-?\d{1,4}\s*$/.test(code))
      throw new FileFault(
        `The file cannot be read as DXF: line ${number} should be a group code, not "${code.slice(0, 40)}". Save it as ASCII DXF.`,
      )
    const value = next()
    if (value === null)
      throw new FileFault(
        `The file cannot be read as DXF: it ends after the group code on line ${number}. Save it as ASCII DXF.`,
      )
    yield { code: Number(code), value, line: number }
  }
}

function take(held: Held, code: number, value: string, line: number): void {
  if (code === 8) held.layer = value
  else if (code === 230) held.isMirrored = figure(value, line, 'the extrusion') < 0
  else if (code === 10 && held.type === 'LWPOLYLINE') held.xs.push(figure(value, line, 'x'))
  else if (code === 20 && held.type === 'LWPOLYLINE') held.ys.push(figure(value, line, 'y'))
  else if (code === 10 || code === 20 || code === 40)
    held.figures.set(code, {
      value: figure(value, line, code === 10 ? 'x' : code === 20 ? 'y' : 'the radius'),
      line,
    })
}

function finish(held: Held): DxfEntity {
  const { type, layer, line, isMirrored, xs, ys } = held
  if (type === 'LWPOLYLINE') {
    if (xs.length !== ys.length)
      throw new FileFault(
        `Line ${line}: an LWPOLYLINE has ${xs.length} x and ${ys.length} y. Save the drawing again.`,
      )
    return {
      type: 'polyline',
      layer,
      line,
      vertices: xs.map((x, i) => turned({ x, y: ys[i]! }, isMirrored)),
    }
  }
  const radius = held.figures.get(40)
  if (!radius)
    throw new FileFault(`Line ${line}: a CIRCLE without a radius. Save the drawing again.`)
  return {
    type: 'circle',
    layer,
    line,
    center: turned(placeOf(held), isMirrored),
    radius: radius.value,
  }
}

function placeOf(held: Held): Point {
  const [x, y] = [held.figures.get(10), held.figures.get(20)]
  if (!x || !y)
    throw new FileFault(
      `Line ${held.line}: a ${held.type} without ${x ? 'y' : 'x'}. Save the drawing again.`,
    )
  return { x: x.value, y: y.value }
}

const turned = ({ x, y }: Point, isMirrored: boolean): Point => ({ x: isMirrored ? -x : x, y })

function figure(text: string, line: number, what: string): number {
  const value = Number(text)
  if (text.trim() === '' || !Number.isFinite(value))
    throw new FileFault(
      `Line ${line}: ${what} should be a figure, not "${text.slice(0, 40)}". Mend the drawing.`,
    )
  return value
}
