import { CartesianGrid, Line, LineChart, Tooltip, XAxis, YAxis } from 'recharts'
import { minorDigits, printMoney } from '../../../core/money/money.ts'

const DAY_MS = 86_400_000

/** What was asked, day by day: a price stands until the next. */
export default function PriceLine({
  prices,
  currency,
}: {
  prices: readonly { readonly day: string; readonly priceMinor: number }[]
  currency: string
}) {
  const data = prices.map(({ day, priceMinor }) => ({ at: Date.parse(day), priceMinor }))
  const axis = {
    stroke: 'var(--color-steel)',
    tick: { fill: 'var(--color-ink)', fontSize: 12 },
  }
  return (
    <LineChart
      responsive
      data={data}
      style={{ width: '100%', height: '100%' }}
      margin={{ top: 8, right: 16, bottom: 0, left: 0 }}
      accessibilityLayer={false}
    >
      <CartesianGrid stroke="var(--color-line)" vertical={false} />
      <XAxis
        {...axis}
        dataKey="at"
        type="number"
        domain={[(from: number) => from - 7 * DAY_MS, (to: number) => to + 7 * DAY_MS]}
        tickFormatter={(at: number) => new Date(at).toISOString().slice(0, 7)}
      />
      <YAxis
        {...axis}
        width={56}
        tickFormatter={(minor: number) => String(Math.round(minor / 10 ** minorDigits(currency)))}
      />
      <Tooltip
        labelFormatter={(at) => new Date(Number(at)).toISOString().slice(0, 10)}
        formatter={(minor) => [printMoney(Number(minor), currency), 'Asked']}
        contentStyle={{
          background: 'var(--color-ground)',
          border: '1px solid var(--color-ink)',
          color: 'var(--color-ink)',
        }}
      />
      <Line
        dataKey="priceMinor"
        type="stepAfter"
        stroke="var(--color-ink)"
        strokeWidth={1.5}
        dot={{ r: 3, fill: 'var(--color-ink)' }}
        isAnimationActive={false}
      />
    </LineChart>
  )
}
