import type { StepKind } from '../../core/identity/steps.ts'
import type { SaidStep } from '../../core/sourcing/number-says.ts'
import { NumberMap } from '../drawing/number-map.tsx'

const STEPS: Readonly<Record<StepKind, string>> = {
  application: 'listed for it',
  same: 'the same part as',
  superseded: 'superseded by',
  back: 'serves still for',
  split: 'split into',
  merged: 'came together in',
  interchange: 'interchanges with',
}

/** How one comes from the number wanted to the one had: drawn, and step by step, each with how well it is known. */
export function NumberPath({ steps }: { steps: readonly SaidStep[] }) {
  const edges = steps.flatMap(({ kind, from, to }) =>
    from.flatMap((one) =>
      to.map((other) => ({
        from: one,
        to: other,
        isLevel: false,
        isBothWays: kind === 'same' || kind === 'interchange',
      })),
    ),
  )
  const [first, last] = [steps[0]?.from ?? [], steps.at(-1)?.to ?? []]
  const ids = [...new Set(edges.flatMap(({ from, to }) => [from, to]))]
  return (
    <>
      <ol aria-label="Path of numbers" className="list-decimal pl-5">
        {steps.map((step, i) => (
          <li key={`${step.kind} ${step.to.join()} ${i}`}>
            {step.from.length > 0 && <span className="figure">{step.from.join(' and ')} </span>}
            {STEPS[step.kind]} <span className="figure">{step.to.join(' and ')}</span>
            <span className="text-steel"> · {step.grade}</span>
          </li>
        ))}
      </ol>
      {edges.length > 0 && (
        <NumberMap
          nodes={ids.map((id) => ({
            id,
            words: id,
            isOwn: first.includes(id) || last.includes(id),
          }))}
          edges={edges}
          label={steps
            .map(({ kind, from, to }) => `${from.join(' and ')} ${STEPS[kind]} ${to.join(' and ')}`)
            .join('; ')}
        />
      )}
    </>
  )
}
