import type { StepKind } from '../../core/identity/steps.ts'
import type { SaidStep } from '../../core/sourcing/number-says.ts'

const STEPS: Readonly<Record<StepKind, string>> = {
  application: 'listed for it',
  same: 'the same part as',
  superseded: 'superseded by',
  back: 'serves still for',
  split: 'split into',
  merged: 'came together in',
  interchange: 'interchanges with',
}

/** How one comes from the number wanted to the one had, step by step, each with how well it is known. */
export const NumberPath = ({ steps }: { steps: readonly SaidStep[] }) => (
  <ol aria-label="Path of numbers" className="list-decimal pl-5">
    {steps.map(({ kind, from, to, grade }, i) => (
      <li key={`${kind} ${to.join()} ${i}`}>
        {from.length > 0 && <span className="figure">{from.join(' and ')} </span>}
        {STEPS[kind]} <span className="figure">{to.join(' and ')}</span>
        <span className="text-steel"> · {grade}</span>
      </li>
    ))}
  </ol>
)
