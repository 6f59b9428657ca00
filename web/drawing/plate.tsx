import type { PlateView } from '../../contract/answers/pairings.ts'
import { turned } from '../../core/patterns/plate.ts'

const MARGIN_MM = 20

/** Two patterns on one axis to scale: the engine's drawn solid, the gearbox's dashed and turned as designed; walls too thin are struck. */
export function PlateDrawing({ plate: { engine, gearbox, design } }: { plate: PlateView }) {
  const turn = <T extends { readonly x: number; readonly y: number }>(all: readonly T[]): T[] =>
    turned(all, design.turnDeg)
  const faces = [
    { face: engine, name: 'engine', stroke: 'stroke-ink', dash: undefined },
    {
      face: {
        ...gearbox,
        holes: turn(gearbox.holes),
        dowels: turn(gearbox.dowels),
        outline: turn(gearbox.outline),
      },
      name: 'gearbox',
      stroke: 'stroke-accent',
      dash: '5 3',
    },
  ] as const
  const all = faces.flatMap(({ face }) => [...face.holes, ...face.dowels, ...face.outline])
  const left = Math.min(...all.map(({ x }) => x)) - MARGIN_MM
  const right = Math.max(...all.map(({ x }) => x)) + MARGIN_MM
  const top = Math.max(...all.map(({ y }) => y)) + MARGIN_MM
  const bottom = Math.min(...all.map(({ y }) => y)) - MARGIN_MM - 14
  const spots = new Map<string, { x: number; y: number }>(
    faces.flatMap(({ face, name }) => [
      ...face.holes.map((one, i) => [`${name} hole ${i + 1}`, one] as const),
      ...face.dowels.map((one, i) => [`${name} dowel ${i + 1}`, one] as const),
    ]),
  )
  return (
    <svg
      role="img"
      aria-label={`Patterns of ${engine.name} and ${gearbox.name} on one axis, to scale; a ${design.kind} plate`}
      viewBox={`${left} ${-top} ${right - left} ${top - bottom}`}
      className="w-full bg-ground"
    >
      <path d="M-8 0H8M0 -8V8" className="stroke-steel" strokeWidth={0.8} />
      {faces.map(({ face, name, stroke, dash }) => (
        <g key={name} className={`fill-none ${stroke}`} strokeWidth={1.3} strokeDasharray={dash}>
          {face.outline.length > 2 && (
            <polygon
              points={face.outline.map(({ x, y }) => `${x},${-y}`).join(' ')}
              strokeWidth={0.7}
            />
          )}
          {face.holes.map((hole, index) => (
            <circle key={index} cx={hole.x} cy={-hole.y} r={hole.d / 2} />
          ))}
          {face.dowels.map((dowel, index) => (
            <g key={index}>
              <circle cx={dowel.x} cy={-dowel.y} r={dowel.d / 2} />
              <circle cx={dowel.x} cy={-dowel.y} r={dowel.d / 2 + 2.5} strokeWidth={0.7} />
            </g>
          ))}
        </g>
      ))}
      {faces.map(({ face, name }) =>
        face.holes.map((hole, index) => (
          <text
            key={`${name}${index}`}
            x={hole.x + (name === 'engine' ? hole.d / 2 + 3 : -hole.d / 2 - 9)}
            y={-hole.y + 3}
            fontSize={9}
            className={name === 'engine' ? 'figure fill-ink' : 'figure fill-accent'}
          >
            {index + 1}
          </text>
        )),
      )}
      {design.thin.map(({ a, b }) => {
        const [p, q] = [spots.get(a), spots.get(b)]
        return p && q ? (
          <line
            key={`${a}${b}`}
            x1={p.x}
            y1={-p.y}
            x2={q.x}
            y2={-q.y}
            className="stroke-clash"
            strokeWidth={2.5}
          />
        ) : null
      })}
      <path d={`M${left + 10} ${-bottom - 8}h100`} className="stroke-ink" strokeWidth={1.5} />
      <text x={left + 114} y={-bottom - 4} fontSize={10} className="figure fill-ink">
        100 mm · solid engine, dashed gearbox
      </text>
    </svg>
  )
}
