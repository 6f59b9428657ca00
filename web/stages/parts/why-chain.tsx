import { Fragment } from 'react'
import { Link } from 'react-router'
import type { KnownFactView } from '../../../contract/answers/facts.ts'
import type { PartLine } from '../../../contract/answers/planning.ts'
import { JOINTS } from '../../../core/joints/index.ts'
import { useAnswer } from '../../api/answer.ts'
import { valueWords } from '../known/question-row.tsx'

/** From what it all follows to this line, in that order; a circle is cut where it closes. */
function chainOf(line: PartLine, lines: readonly PartLine[]): readonly PartLine[] {
  const chain = [line]
  for (;;) {
    const parents = new Set(chain[0]!.why.flatMap(({ parent }) => parent ?? []))
    const next = lines.find((one) => parents.has(one.kind) && !chain.includes(one))
    if (!next) return chain
    chain.unshift(next)
  }
}

/** Why a line is here, drawn: the facts each step stands on, known, assumed or asked, down to the line. */
export function WhyChain({
  build,
  line,
  lines,
}: {
  build: string
  line: PartLine
  lines: readonly PartLine[]
}) {
  const known = useAnswer('GET /builds/{id}/facts', { params: { id: build } }).data
  const facts = new Map(
    known?.owners.flatMap((owner) => owner.facts.map((fact) => [fact.key as string, fact])),
  )
  const chain = chainOf(line, lines)
  return (
    <ol aria-label="Its reasons, in order">
      {chain.map((step, i) => (
        <Fragment key={step.id}>
          {step.why.map((reason) => (
            <li key={`${reason.rule}${reason.words}`}>
              <ul aria-label="It stands on" className="flex flex-wrap gap-1">
                {(reason.facts ?? []).flatMap((key) => {
                  const fact = facts.get(key)
                  return fact ? [<FactBox key={key} build={build} fact={fact} />] : []
                })}
                {reason.joint && (
                  <li className="border border-ink px-1.5 py-0.5 text-[13px]">
                    <Link
                      to={`/builds/${build}/pairing?joint=${reason.joint}`}
                      className="text-accent underline"
                    >
                      {JOINTS.find(({ id }) => id === reason.joint)?.title ?? reason.joint}
                    </Link>
                  </li>
                )}
              </ul>
              <p className="ml-3 border-l border-ink py-1 pl-3">{reason.words}</p>
            </li>
          ))}
          <li className={i === chain.length - 1 ? '' : 'mb-1'}>
            <span
              className={`block border border-ink px-2 py-1 ${i === chain.length - 1 ? 'bg-bench font-bold' : ''}`}
            >
              {step.words}
            </span>
            {i < chain.length - 1 && (
              <span aria-hidden className="ml-3 block h-2 border-l border-ink" />
            )}
          </li>
        </Fragment>
      ))}
    </ol>
  )
}

/** A fact with its value: dotted where it is only assumed or not known. */
function FactBox({ build, fact }: { build: string; fact: KnownFactView }) {
  const { words, value, isAssumed } = fact
  const says =
    value === null
      ? 'not known'
      : `${valueWords(value).toLowerCase()}${isAssumed ? ', assumed' : ''}`
  return (
    <li
      className={`border px-1.5 py-0.5 text-[13px] ${value === null || isAssumed ? 'border-dotted border-unmeasured' : 'border-steel'}`}
    >
      <Link to={`/builds/${build}/known?fact=${fact.key}`}>
        {words} <b>{says}</b>
      </Link>
    </li>
  )
}
