import { Bar, BarChart, Cell, LabelList, XAxis, YAxis } from 'recharts'
import type { TorqueStep } from '../../../core/pairing/torque-line.ts'

/** What arrives part by part as solid bars, what each is rated at as outlined ones, on one scale. */
export default function TorqueBars({ steps }: { steps: readonly TorqueStep[] }) {
  return (
    <BarChart
      responsive
      layout="vertical"
      data={[...steps]}
      barGap={1}
      style={{ width: '100%', height: '100%' }}
      margin={{ top: 0, right: 52, bottom: 0, left: 0 }}
      accessibilityLayer={false}
    >
      <XAxis type="number" hide domain={[0, 'dataMax']} />
      <YAxis
        type="category"
        dataKey="part"
        width={112}
        axisLine={false}
        tickLine={false}
        interval={0}
        tick={{ fill: 'var(--color-ink)', fontSize: 12, textAnchor: 'start', dx: -104 }}
      />
      <Bar dataKey="demandNm" barSize={8} minPointSize={1} isAnimationActive={false}>
        {steps.map(({ part, demandNm, ratingNm }) => (
          <Cell
            key={part}
            fill={
              demandNm !== null && ratingNm !== null && ratingNm < demandNm
                ? 'var(--color-clash)'
                : 'var(--color-steel)'
            }
          />
        ))}
        <LabelList
          dataKey="demandNm"
          position="right"
          className="figure"
          fontSize={12}
          fill="var(--color-ink)"
          formatter={(nm) => (nm === null ? '' : Math.round(Number(nm)))}
        />
      </Bar>
      <Bar
        dataKey="ratingNm"
        barSize={5}
        fill="none"
        stroke="var(--color-ink)"
        isAnimationActive={false}
      />
    </BarChart>
  )
}
