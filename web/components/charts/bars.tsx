import { Bar, BarChart, LabelList, XAxis, YAxis } from 'recharts'
import { printMoney } from '../../../core/money/money.ts'

/** A named amount, minor units. */
export interface Amount {
  readonly name: string
  readonly minor: number
}

/** Amounts as bars on one scale, each named and told in figures; as high as what it stands in. */
export default function Bars({ rows, currency }: { rows: readonly Amount[]; currency: string }) {
  return (
    <BarChart
      responsive
      layout="vertical"
      data={[...rows]}
      style={{ width: '100%', height: '100%' }}
      margin={{ top: 0, right: 76, bottom: 0, left: 0 }}
      accessibilityLayer={false}
    >
      <XAxis
        type="number"
        hide
        domain={([least, most]) => [Math.min(0, least), Math.max(1, most)]}
      />
      <YAxis
        type="category"
        dataKey="name"
        width={140}
        axisLine={false}
        tickLine={false}
        interval={0}
        tick={{ fill: 'var(--color-ink)', fontSize: 13, textAnchor: 'start', dx: -132 }}
      />
      <Bar
        dataKey="minor"
        fill="var(--color-steel)"
        minPointSize={1}
        barSize={10}
        isAnimationActive={false}
      >
        <LabelList
          dataKey="minor"
          position="right"
          className="figure"
          fill="var(--color-ink)"
          formatter={(minor) => printMoney(Number(minor), currency, true)}
        />
      </Bar>
    </BarChart>
  )
}
