import type { LimitRecord } from '../../core/joints/verdict.ts'

const WIDTH = 336
const ROW = 15
const PAD = 10

/**
 * One limit to scale: each length as a bar from where the last one ended, + to the right, then the window wanted with the
 * sum in it and its bound. A stack is read downward, as it is added up.
 */
export function StackDrawing({ limit }: { limit: LimitRecord }) {
  const { value, low, high, plusMinus } = limit
  if (value === null) return null
  const terms = limit.terms.filter((term) => term.value !== null)
  const steps: { from: number; to: number; label: string }[] = []
  let at = 0
  for (const term of terms) {
    const to = at + term.sign * term.value!
    steps.push({
      from: at,
      to,
      label: `${term.sign > 0 ? '+' : '−'} ${round(term.value!)} ${term.label}`,
    })
    at = to
  }
  // What is not a plain sum has its figure alone.
  const isSum = steps.length > 0 && Math.abs(at - value) < 1e-6
  const drawn = isSum ? steps : []
  const bound = plusMinus ?? 0
  const ends = [
    value - bound,
    value + bound,
    ...(low === null ? [] : [low]),
    ...(high === null ? [] : [high]),
    ...(isSum ? [0, ...drawn.flatMap(({ from, to }) => [from, to])] : []),
  ]
  const span = Math.max(...ends) - Math.min(...ends) || 1
  const [least, most] = [Math.min(...ends) - span * 0.06, Math.max(...ends) + span * 0.06]
  const x = (figure: number): number =>
    PAD + ((figure - least) / (most - least)) * (WIDTH - 2 * PAD)
  const windowFrom = x(low ?? least)
  const windowTo = x(high ?? most)
  const top = drawn.length * ROW + 8
  return (
    <svg
      role="img"
      aria-label={`${limit.label}, to scale: ${round(value)} ${limit.unit}`}
      viewBox={`0 0 ${WIDTH} ${top + 40}`}
      className="w-full bg-ground"
    >
      {isSum && <line x1={x(0)} x2={x(0)} y1={0} y2={top + 20} className="stroke-line" />}
      {drawn.map(({ from, to, label }, index) => (
        <g key={index}>
          <rect
            x={Math.min(x(from), x(to))}
            y={index * ROW + 3}
            width={Math.max(1, Math.abs(x(to) - x(from)))}
            height={ROW - 6}
            className="fill-line stroke-steel"
            strokeWidth={0.6}
          />
          <line
            x1={x(to)}
            x2={x(to)}
            y1={index * ROW + 3}
            y2={(index + 1) * ROW + 6}
            className="stroke-steel"
            strokeWidth={0.6}
            strokeDasharray="2 2"
          />
          <text
            x={WIDTH - PAD}
            y={index * ROW + 11}
            textAnchor="end"
            fontSize={8.5}
            className="fill-ink"
            paintOrder="stroke"
            stroke="var(--color-ground)"
            strokeWidth={3}
          >
            {label}
          </text>
        </g>
      ))}
      {(low !== null || high !== null) && (
        <rect
          x={windowFrom}
          y={top}
          width={Math.max(1, windowTo - windowFrom)}
          height={12}
          className="fill-fits/40 stroke-steel"
          strokeWidth={0.6}
        />
      )}
      {plusMinus !== null && (
        <line
          x1={x(value - bound)}
          x2={x(value + bound)}
          y1={top + 6}
          y2={top + 6}
          className="stroke-ink"
          strokeWidth={1.5}
        />
      )}
      <path d={`M${x(value)} ${top - 3}V${top + 15}`} className="stroke-ink" strokeWidth={2.5} />
      <text
        x={Math.min(WIDTH - 60, Math.max(30, x(value)))}
        y={top + 25}
        textAnchor="middle"
        fontSize={10}
        className="figure fill-ink"
        fontWeight={700}
      >
        {round(value)} {limit.unit}
      </text>
      <text x={PAD} y={top + 37} fontSize={8.5} className="figure fill-steel">
        {low === null ? '' : `from ${round(low)}`}
      </text>
      <text
        x={WIDTH - PAD}
        y={top + 37}
        textAnchor="end"
        fontSize={8.5}
        className="figure fill-steel"
      >
        {high === null ? '' : `to ${round(high)}`}
      </text>
    </svg>
  )
}

const round = (value: number): string =>
  String(Number(value.toFixed(Math.abs(value) < 1 ? 3 : 2))).replace('-', '−')
