import type { PlateView } from '../../contract/answers/pairings.ts'
import { turned } from '../../core/patterns/plate.ts'
import type { Hole } from '../../core/ports/field.ts'

const MARGIN_MM = 20
/** A hole further from any of the other face is another pattern's, and how far says nothing. */
const NEAR_MM = 20

/** Holes without a partner with how far they are off, and of those that meet the worst, where it misses at all. */
function marksOf(
  { met, odd }: PlateView['match'],
  ofEngine: readonly Hole[],
  ofGearbox: readonly Hole[],
): readonly { hole: Hole; words: string; isOdd: boolean; isGearbox: boolean }[] {
  const worst = met.reduce<(typeof met)[number] | null>(
    (most, one) =>
      one.residual - one.play > (most ? most.residual - most.play : -Infinity) ? one : most,
    null,
  )
  return [
    ...odd.map(({ face, index, offMm }) => ({
      hole: (face === 'a' ? ofEngine : ofGearbox)[index]!,
      words: offMm < NEAR_MM ? `${offMm.toFixed(1)} off` : '',
      isOdd: true,
      isGearbox: face === 'b',
    })),
    ...(worst && worst.residual > 0
      ? [
          {
            hole: ofEngine[worst.a]!,
            words: `worst: ${worst.residual.toFixed(2)} of ${worst.play.toFixed(2)}`,
            isOdd: false,
            isGearbox: false,
          },
        ]
      : []),
  ]
}

/** Two patterns on one axis to scale: the engine's drawn solid, the gearbox's dashed and turned as designed; holes that do not meet and the worst that does are ringed, walls too thin struck. */
export function PlateDrawing({ plate: { engine, gearbox, match, design } }: { plate: PlateView }) {
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
  const marks = marksOf(match, faces[0].face.holes, faces[1].face.holes)
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
      {marks.map(({ hole, words, isOdd, isGearbox }) => (
        <g key={`${isGearbox}${hole.x},${hole.y}`}>
          <circle
            cx={hole.x}
            cy={-hole.y}
            r={hole.d / 2 + 4}
            className={`fill-none ${isOdd ? 'stroke-clash' : 'stroke-work'}`}
            strokeWidth={2}
          />
          <text
            x={hole.x + hole.d / 2 + 6}
            y={-hole.y + (isGearbox ? 14 : -6)}
            fontSize={9}
            className="figure fill-ink"
          >
            {words}
          </text>
        </g>
      ))}
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
