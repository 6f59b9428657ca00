import type { TorqueStep } from '../../core/pairing/torque-line.ts'

const WIDTH = 336
const ROW = 30

/** Torque part by part from engine to tyre, to one scale: the bar what arrives, the stroke what the part is rated at. */
export function TorqueLine({ steps }: { steps: readonly TorqueStep[] }) {
  const most = Math.max(
    1,
    ...steps.flatMap(({ demandNm, ratingNm }) => [demandNm ?? 0, ratingNm ?? 0]),
  )
  const x = (nm: number): number => (nm / most) * (WIDTH - 4)
  return (
    <svg
      role="img"
      aria-label="Torque from engine to tyre, part by part"
      viewBox={`0 0 ${WIDTH} ${steps.length * ROW + 2}`}
      className="w-full bg-ground"
    >
      {steps.map(({ part, demandNm, isCapped, ratingNm }, index) => (
        <g key={part} transform={`translate(2 ${index * ROW})`}>
          <text y={10} fontSize={9.5} className="fill-ink">
            {part}:{' '}
            <tspan className="figure">
              {demandNm === null ? 'ratio not known' : `${Math.round(demandNm)} N·m`}
            </tspan>
            {isCapped ? ', all the tyres hold' : ''}
            {ratingNm === null ? '' : `, rated ${Math.round(ratingNm)}`}
          </text>
          {demandNm !== null && (
            <rect
              y={14}
              width={Math.max(1, x(demandNm))}
              height={9}
              className={ratingNm !== null && ratingNm < demandNm ? 'fill-clash' : 'fill-fits'}
            />
          )}
          {ratingNm !== null && (
            <path d={`M${x(ratingNm)} 12v13`} className="stroke-ink" strokeWidth={2} />
          )}
        </g>
      ))}
    </svg>
  )
}
