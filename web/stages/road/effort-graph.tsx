import {
  CartesianGrid,
  Line,
  LineChart,
  ReferenceDot,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from 'recharts'
import type { EffortPoint } from '../../../core/mechanics/road/effort.ts'

/** One line of the graph, its points ordered by speed. */
export interface EffortLine {
  readonly id: string
  readonly tone: 'after' | 'before' | 'load'
  readonly points: readonly EffortPoint[]
  /** What stands at its end or start. */
  readonly label?: string
}

export interface Ring {
  readonly kmh: number
  readonly n: number
}

const LOOK = {
  after: { stroke: 'var(--color-ink)', width: 1.7, dash: undefined },
  before: { stroke: 'var(--color-line)', width: 1.6, dash: undefined },
  load: { stroke: 'var(--color-steel)', width: 1, dash: '5 3' },
} as const

const ticks = (most: number, step: number): number[] =>
  Array.from({ length: Math.floor(most / step) + 1 }, (_, i) => i * step)

/** Pull at the tyres against speed: by gear, before and after, with what the road takes; rings where the hill is held. */
export default function EffortGraph({
  lines,
  rings,
  most,
  height = 300,
}: {
  lines: readonly EffortLine[]
  rings: readonly Ring[]
  most: { readonly kmh: number; readonly n: number }
  height?: number
}) {
  return (
    <ResponsiveContainer width="100%" height={height}>
      <LineChart margin={{ top: 8, right: 40, bottom: 4, left: 0 }} accessibilityLayer={false}>
        <CartesianGrid stroke="var(--color-line)" vertical={false} />
        <XAxis
          type="number"
          dataKey="kmh"
          domain={[0, most.kmh]}
          allowDataOverflow
          ticks={ticks(most.kmh, most.kmh > 140 ? 40 : 20)}
          tick={{ fill: 'var(--color-steel)', fontSize: 11 }}
          unit=" km/h"
        />
        <YAxis
          type="number"
          dataKey="kn"
          domain={[0, most.n / 1000]}
          allowDataOverflow
          width={48}
          ticks={ticks(most.n / 1000, most.n > 5000 ? 2 : 1)}
          tick={{ fill: 'var(--color-steel)', fontSize: 11 }}
          tickFormatter={(kn: number) => `${Math.round(kn * 10) / 10} kN`}
        />
        {lines.map(({ id, tone, points, label }) => (
          <Line
            key={id}
            data={points.map(({ kmh, n }) => ({ kmh, kn: n / 1000 }))}
            dataKey="kn"
            type="linear"
            dot={false}
            activeDot={false}
            isAnimationActive={false}
            stroke={LOOK[tone].stroke}
            strokeWidth={LOOK[tone].width}
            {...(LOOK[tone].dash ? { strokeDasharray: LOOK[tone].dash } : {})}
            {...(label
              ? {
                  label: ({
                    x,
                    y,
                    index,
                  }: {
                    x?: number | string
                    y?: number | string
                    index?: number
                  }) =>
                    index === (tone === 'load' ? points.length - 1 : 0) ? (
                      <text
                        x={Number(x) + (tone === 'load' ? 4 : -4)}
                        y={Number(y) + 4}
                        textAnchor={tone === 'load' ? 'start' : 'end'}
                        className={
                          tone === 'before'
                            ? 'fill-steel text-[10px]'
                            : 'fill-ink text-[11px] font-semibold'
                        }
                      >
                        {label}
                      </text>
                    ) : (
                      <g />
                    ),
                }
              : {})}
          />
        ))}
        {rings.map(({ kmh, n }) => (
          <ReferenceDot
            key={`${kmh} ${n}`}
            x={kmh}
            y={n / 1000}
            r={4}
            fill="var(--color-ground)"
            stroke="var(--color-ink)"
            strokeWidth={1.6}
            label={{
              value: Math.round(kmh),
              position: 'top',
              fill: 'var(--color-ink)',
              fontSize: 12,
              fontWeight: 700,
            }}
          />
        ))}
      </LineChart>
    </ResponsiveContainer>
  )
}
