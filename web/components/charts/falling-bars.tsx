import { Bar, BarChart, Cell, LabelList, ReferenceLine, XAxis, YAxis } from 'recharts'
import { printMoney } from '../../../core/money/money.ts'
import type { Fall } from './waterfall.ts'

const FILLS = {
  cost: 'var(--color-steel)',
  income: 'url(#hatched)',
  net: 'var(--color-ink)',
} as const

/** A waterfall on a given scale: costs solid, income hatched, what is left in ink. */
export default function FallingBars({
  falls,
  scale,
  currency,
}: {
  falls: readonly Fall[]
  scale: readonly [number, number]
  currency: string
}) {
  return (
    <BarChart
      responsive
      layout="vertical"
      data={[...falls]}
      style={{ width: '100%', height: '100%' }}
      margin={{ top: 0, right: 70, bottom: 0, left: 0 }}
      accessibilityLayer={false}
    >
      <defs>
        <pattern id="hatched" width="5" height="5" patternUnits="userSpaceOnUse">
          <path d="M0 5 5 0" stroke="var(--color-steel)" strokeWidth="1" />
        </pattern>
      </defs>
      <XAxis type="number" hide domain={[...scale]} />
      <YAxis
        type="category"
        dataKey="name"
        width={128}
        axisLine={false}
        tickLine={false}
        interval={0}
        tick={{ fill: 'var(--color-ink)', fontSize: 12, textAnchor: 'start', dx: -120 }}
      />
      <ReferenceLine x={0} stroke="var(--color-line)" />
      <Bar dataKey="span" barSize={9} minPointSize={1} isAnimationActive={false}>
        {falls.map(({ id, tone }) => (
          <Cell
            key={id}
            fill={FILLS[tone]}
            stroke={tone === 'income' ? 'var(--color-steel)' : 'none'}
          />
        ))}
        <LabelList
          dataKey="minor"
          position="right"
          className="figure"
          fontSize={12}
          fill="var(--color-ink)"
          formatter={(minor) => printMoney(Number(minor), currency, true)}
        />
      </Bar>
    </BarChart>
  )
}
