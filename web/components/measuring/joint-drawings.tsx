import type { MissingField } from '../../../core/joints/verdict.ts'
import { isPortKind, PORT_KINDS } from '../../../core/ports/index.ts'
import { DIMENSIONS, dimensionId, VIEW_WORDS, VIEWS } from '../../../core/recipient/dimensions.ts'
import { PORT_SKETCHES } from '../../drawing/port-sketches.ts'
import { VehicleSketch } from '../../drawing/vehicle.tsx'
import { LengthsDrawing, type PlacedField } from './lengths-drawing.tsx'
import { keyOf, type Measurements } from './use-measurements.ts'

const SECTION_HIGH = 60
const VIEW_HIGH = 46

/** A field by its place on a part, whichever part it is. */
const placeOf = ({ port, field }: MissingField): string =>
  `${port.split('/').slice(1).join('/')}.${field}`

/** What is measured for a joint, drawn: a section through each of its ports, and the vehicle where it is measured there. */
export function JointDrawings({
  fields,
  measurements,
  chosen,
  onChoose,
  known,
}: {
  fields: readonly MissingField[]
  measurements: Measurements
  chosen: MissingField | null
  onChoose: (field: MissingField) => void
  known: (field: MissingField) => string
}) {
  const shared = { measurements, chosen, onChoose, known }
  const views = VIEWS.flatMap((view) => {
    const placed = fields.flatMap((field): PlacedField[] => {
      const found = DIMENSIONS.find(
        (one) => one.view === view && dimensionId(one) === placeOf(field),
      )
      return found ? [{ field, ends: [...found.from, ...found.to], at: found.at }] : []
    })
    return placed.length > 0 ? [{ view, placed }] : []
  })
  const seen = new Set(views.flatMap(({ placed }) => placed.map(({ field }) => keyOf(field))))
  const ports = [...new Set(fields.map(({ port }) => port))].flatMap((port) => {
    const kind = port.split('/')[1] ?? ''
    const sketch = isPortKind(kind) ? PORT_SKETCHES[kind] : undefined
    if (!sketch || !isPortKind(kind)) return []
    const placed = fields.flatMap((field): PlacedField[] => {
      const line = field.port === port && !seen.has(keyOf(field)) && sketch.lengths[field.field]
      if (!line) return []
      const [x1, y1, x2, y2, x = (x1 + x2) / 2, y = (y1 + y2) / 2] = line
      return [{ field, ends: [x1, y1, x2, y2], at: [x, y] }]
    })
    const [first] = placed
    const title = `${PORT_KINDS[kind].title}, ${first?.field.partName}`
    return first ? [{ port, title, sketch, placed }] : []
  })
  if (views.length + ports.length === 0) return null
  return (
    <div className="grid grid-cols-[repeat(auto-fill,minmax(230px,1fr))] gap-3">
      {ports.map(({ port, title, sketch, placed }) => (
        <LengthsDrawing key={port} title={title} high={SECTION_HIGH} placed={placed} {...shared}>
          <path
            d={sketch.datum}
            className="fill-none stroke-steel"
            strokeWidth={0.3}
            strokeDasharray="3 1"
          />
          <path d={sketch.body} className="fill-bench stroke-steel" strokeWidth={0.4} />
        </LengthsDrawing>
      ))}
      {views.map(({ view, placed }) => (
        <LengthsDrawing
          key={view}
          title={`The vehicle, ${VIEW_WORDS[view].toLowerCase()}`}
          high={VIEW_HIGH}
          placed={placed}
          className="col-span-full"
          {...shared}
        >
          <VehicleSketch view={view} />
        </LengthsDrawing>
      ))}
    </div>
  )
}
