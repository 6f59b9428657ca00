import { createContext, useContext } from 'react'
import { printMoney } from '../../../core/money/money.ts'
import type { Range } from '../../../core/money/range.ts'

/** The scale that all bars of a list stand on, minor units. */
export interface Scale {
  readonly low: number
  readonly high: number
  /** What the like-for-like repair costs: a line down the column. */
  readonly repair: number | null
}

export const OnScale = createContext<Scale>({ low: 0, high: 1, repair: null })

const WIDTH = 64

/** From–to on the one scale of the list: solid up to the repair's price, hollow beyond it. */
export function CostBar({
  money,
  currency,
  isBare = false,
}: {
  money: Range
  currency: string
  /** In figures only. */
  isBare?: boolean
}) {
  const scale = useContext(OnScale)
  const span = Math.max(1, scale.high - scale.low)
  const at = (minor: number): number =>
    Math.max(0, Math.min(WIDTH, ((minor - scale.low) / span) * WIDTH))
  const [from, to] = [at(money.low), at(money.high)]
  const split = scale.repair === null ? to : Math.max(from, Math.min(to, at(scale.repair)))
  return (
    <span className="inline-flex items-center gap-2">
      <span className="figure">
        {printMoney(money.low, currency, true)}–{figureOnly(money.high, currency)}
      </span>
      {!isBare && (
        <svg width={WIDTH} height="10" aria-hidden className="shrink-0">
          <title>From–to</title>
          <path d={`M0 5H${WIDTH}`} stroke="var(--color-line)" />
          {split > from && (
            <rect x={from} y="1.5" width={split - from} height="7" fill="var(--color-steel)" />
          )}
          {to > split && (
            <rect
              x={split}
              y="2"
              width={Math.max(1, to - split)}
              height="6"
              fill="none"
              stroke="var(--color-steel)"
            />
          )}
          {scale.repair !== null && (
            <path
              d={`M${at(scale.repair)} 0V10`}
              stroke="var(--color-ink)"
              strokeDasharray="1.5 1.5"
            />
          )}
        </svg>
      )}
    </span>
  )
}

/** Without the currency, which stands before it already. */
const figureOnly = (minor: number, currency: string): string =>
  printMoney(minor, currency, true).replace(/^[^\d−-]+/, '')
