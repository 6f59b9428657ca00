import type { MissingField } from '../../../core/joints/verdict.ts'
import { isPortKind, PORT_KINDS } from '../../../core/ports/index.ts'
import { dimensionId, VIEW_WORDS, VIEWS } from '../../../core/recipient/dimensions.ts'
import { figureIn } from '../../../core/train/stand-in-train.ts'
import { PORT_SKETCHES } from '../../drawing/port-sketches.ts'
import { dimensionSheet } from '../../drawing/train/dimension-lines.ts'
import { Marks } from '../../drawing/train/marks.tsx'
import { sceneOf } from '../../drawing/train/scene.ts'
import { LengthsDrawing, type PlacedField } from './lengths-drawing.tsx'
import { keyOf, type Measurements } from './use-measurements.ts'

const SECTION_HIGH = 60
/** Width at which a view of the vehicle is laid out, px, and its share of a drawing 100 wide. */
const VIEW_WIDE = 860
const SHARE = 100 / VIEW_WIDE

/** A field by its place on a part, whichever part it is. */
const placeOf = ({ port, field }: MissingField): string =>
  `${port.split('/').slice(1).join('/')}.${field}`

/** A vehicle as vehicles are: what is measured is asked of whichever it is. */
const ANY_TRAIN = figureIn(null, null)

function AnyVehicle({ sheet: { frame, scene } }: { sheet: ReturnType<typeof dimensionSheet> }) {
  const { vehicle, train } = sceneOf(ANY_TRAIN, scene)
  return (
    <g transform={`scale(${SHARE}) translate(${frame.x} ${frame.y}) scale(${frame.pxPerMm})`}>
      <Marks
        marks={[...vehicle, ...train].map((mark) => ({ ...mark, known: true }))}
        pxPerMm={frame.pxPerMm}
      />
    </g>
  )
}

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
    const sheet = dimensionSheet(ANY_TRAIN, view, VIEW_WIDE)
    const placed = fields.flatMap((field): PlacedField[] => {
      const found = sheet.lines.find(({ dimension }) => dimensionId(dimension) === placeOf(field))
      return found
        ? [
            {
              field,
              ends: [
                found.from[0] * SHARE,
                found.from[1] * SHARE,
                found.to[0] * SHARE,
                found.to[1] * SHARE,
              ],
              at: [found.at[0] * SHARE, found.at[1] * SHARE],
            },
          ]
        : []
    })
    return placed.length > 0 ? [{ view, placed, sheet }] : []
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
      {views.map(({ view, placed, sheet }) => (
        <LengthsDrawing
          key={view}
          title={`The vehicle, ${VIEW_WORDS[view].toLowerCase()}`}
          high={sheet.height * SHARE}
          placed={placed}
          className="col-span-full"
          {...shared}
        >
          <AnyVehicle sheet={sheet} />
        </LengthsDrawing>
      ))}
    </div>
  )
}
