import type { ReactNode } from 'react'
import type { Range } from '../../core/money/range.ts'
import { Money, Span } from './ui.tsx'

/** A line of a sum: an amount, or one that is added up and stands heavier. */
export interface SumLine {
  readonly words: ReactNode
  readonly minor: number | Range | null
  readonly isTotal?: boolean
}

/** Amounts under one another, read from the top down. */
export const Sums = ({
  lines,
  currency,
  whole = false,
}: {
  lines: readonly SumLine[]
  currency: string
  whole?: boolean
}) => (
  <dl>
    {lines.map(({ words, minor, isTotal }, index) => (
      <div
        key={index}
        className={`flex items-baseline gap-4 border-b py-1 ${isTotal ? 'border-ink font-bold' : 'border-line'}`}
      >
        <dt>{words}</dt>
        <dd className="ml-auto text-right">
          {minor === null ? (
            '?'
          ) : typeof minor === 'number' ? (
            <Money minor={minor} currency={currency} whole={whole} />
          ) : (
            <Span range={minor} currency={currency} />
          )}
        </dd>
      </div>
    ))}
  </dl>
)
