import { printMoney } from '../../../core/money/money.ts'

const [WIDE, HIGH, SIDE] = [640, 132, 12]
const [RADIUS, LINE] = [7, 92]

/** Twenty totals, each as likely as the next, stacked where they fall on a line of money; dashed, the repair. */
export function TwentyDots({
  dots,
  outer,
  likely,
  middleMinor,
  repairMinor,
  currency,
}: {
  dots: readonly number[]
  outer: { readonly low: number; readonly high: number }
  likely: { readonly low: number; readonly high: number }
  middleMinor: number
  repairMinor: number | null
  currency: string
}) {
  const seen = [...dots, likely.low, likely.high, ...(repairMinor === null ? [] : [repairMinor])]
  const spread = Math.max(...seen) - Math.min(...seen) || 1
  const [least, most] = [Math.min(...seen) - spread * 0.08, Math.max(...seen) + spread * 0.08]
  const at = (minor: number): number =>
    SIDE + ((Math.min(most, Math.max(least, minor)) - least) / (most - least)) * (WIDE - 2 * SIDE)
  const stacks: number[] = []
  const placed = dots.map((minor) => {
    const x = at(minor)
    const column = Math.round(x / (2 * RADIUS + 2))
    stacks[column] = (stacks[column] ?? 0) + 1
    return {
      minor,
      x: column * (2 * RADIUS + 2),
      y: LINE - 6 - RADIUS - (stacks[column]! - 1) * (2 * RADIUS + 2),
    }
  })
  const under = repairMinor === null ? 0 : dots.filter((minor) => minor <= repairMinor).length
  const ticks = [0, 1, 2, 3, 4].map((i) => least + ((most - least) * (i + 0.5)) / 5)
  return (
    <figure aria-label="Twenty builds like this one">
      <svg viewBox={`0 0 ${WIDE} ${HIGH}`} className="w-full" aria-hidden>
        <line x1={at(outer.low)} x2={at(outer.high)} y1={LINE} y2={LINE} className="stroke-ink" />
        <line
          x1={at(likely.low)}
          x2={at(likely.high)}
          y1={LINE}
          y2={LINE}
          className="stroke-ink"
          strokeWidth={5}
        />
        <line
          x1={at(middleMinor)}
          x2={at(middleMinor)}
          y1={LINE - 8}
          y2={LINE + 8}
          className="stroke-accent"
          strokeWidth={3}
        />
        {placed.map(({ minor, x, y }, i) => (
          <circle
            key={i}
            cx={x}
            cy={y}
            r={RADIUS}
            className={
              repairMinor !== null && minor > repairMinor
                ? 'fill-ground stroke-ink'
                : 'fill-steel stroke-steel'
            }
          />
        ))}
        {repairMinor !== null && (
          <line
            x1={at(repairMinor)}
            x2={at(repairMinor)}
            y1={4}
            y2={LINE + 12}
            className="stroke-ink"
            strokeDasharray="3 4"
          />
        )}
        {ticks.map((minor) => (
          <text
            key={minor}
            x={at(minor)}
            y={LINE + 30}
            textAnchor="middle"
            className="figure fill-steel text-[12px]"
          >
            {printMoney(minor, currency, true)}
          </text>
        ))}
      </svg>
      {repairMinor !== null && (
        <figcaption className="text-steel">
          {under} of 20 come out cheaper than the repair at{' '}
          {printMoney(repairMinor, currency, true)}, {20 - under} dearer.
        </figcaption>
      )}
    </figure>
  )
}
