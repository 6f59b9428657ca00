import { useId } from 'react'
import type { Build } from '../../../contract/answers/rows.ts'
import type { BriefView } from '../../../contract/answers/sheets.ts'
import { KEPT_ASSEMBLIES } from '../../../core/brief/must-still-work.ts'
import { BRIEF_STEPS, LAW_ITEMS, LAW_STEPS, UNCUT_STEPS } from '../../../core/brief/questions.ts'
import { useAnswer } from '../../api/answer.ts'
import { useBuildSheet } from '../../api/build-sheet.ts'
import { call } from '../../api/client.ts'
import { act, saveBuild } from '../../api/hooks.ts'
import { useJustSaid } from '../../api/just-said.ts'
import { INPUT } from '../../components/fields/field.tsx'
import { optionsOf, Select } from '../../components/fields/select.tsx'
import { SheetQuestionRow } from '../../components/sheet-question.tsx'
import { SheetSteps } from '../../components/sheet-steps.tsx'
import { Sums } from '../../components/sums.tsx'
import { Folded, Money } from '../../components/ui.tsx'

export const useBrief = (build: string) =>
  useAnswer('GET /builds/{id}/brief', { params: { id: build } })

/** What limits and the computed build say of each other, live. */
export function Findings({ build }: { build: string }) {
  const { data } = useBrief(build)
  return (
    <section aria-label="Limits against the build" className="mb-5">
      <h2 className="font-bold">Your limits against the build as computed</h2>
      {data?.findings.length === 0 && (
        <p className="text-steel">Set a limit, or choose a pairing, and it is checked here.</p>
      )}
      {data?.findings
        .toSorted((p, q) => Number(p.holds) - Number(q.holds))
        .map((finding) => (
          <p
            key={finding.id}
            className={`my-1 border-l-[3px] pl-2.5 ${finding.holds ? 'border-fits' : 'border-clash'}`}
          >
            <span className="sr-only">{finding.holds ? 'Holds: ' : 'Does not hold: '}</span>
            {finding.words}
          </p>
        ))}
    </section>
  )
}

/** Sums of tenths of an hour, as tenths. */
const hoursWords = (low: number, high: number): string =>
  `${Number(low.toFixed(1))} to ${Number(high.toFixed(1))} h`

/** Each yes with what it adds to the list, its price as a range and its hours, as the build stands. */
export function MustWork({ build }: { build: Build }) {
  const brief = useBrief(build.id)
  const ticked = useJustSaid<boolean>()
  const toggle = (kind: string, on: boolean): Promise<boolean> =>
    act(async () => {
      const { build: newest } = await call('GET /builds/{id}', { params: { id: build.id } })
      await saveBuild(newest, {
        mustWork: KEPT_ASSEMBLIES.filter((one) =>
          one === kind ? on : newest.mustWork.includes(one),
        ),
      })
    }, 'Saved: what must still work.')
  const keeps =
    brief.data?.keeps.map((one) => ({ ...one, isKept: ticked.shown(one.kind, one.isKept) })) ?? []
  const kept = keeps.filter((one) => one.isKept)
  const sum = (of: (one: BriefView['keeps'][number]) => number): number =>
    kept.reduce((total, one) => total + of(one), 0)
  return (
    <section aria-label="Must still work afterwards">
      <h2 className="font-bold">Must still work afterwards</h2>
      <p className="mb-2 text-steel">
        Each yes brings parts: cheap to drop now, dear to add late. Prices are what its parts
        usually cost, used to new.
      </p>
      <ul>
        {keeps.map((one) => (
          <li key={one.kind} className="border-b border-line py-1">
            <label className="flex items-center gap-2">
              <input
                type="checkbox"
                className="size-4 accent-(--color-accent)"
                checked={one.isKept}
                onChange={({ target: { checked } }) =>
                  void ticked.say(one.kind, checked, () => toggle(one.kind, checked))
                }
              />
              <span className={one.isKept ? 'font-semibold' : ''}>{one.words}</span>
              <span className="figure ml-auto text-right text-steel">
                {one.price ? (
                  <>
                    <Money minor={one.price.low} currency={build.currency} whole /> to{' '}
                    <Money minor={one.price.high} currency={build.currency} whole />
                  </>
                ) : one.adds.length === 0 ? (
                  'on the list anyway'
                ) : (
                  'no price yet'
                )}
              </span>
            </label>
            {one.adds.length > 0 && (
              <p className="pl-6 text-steel">
                {one.adds.join(', ')} · {hoursWords(one.hours.low, one.hours.high)}
              </p>
            )}
          </li>
        ))}
      </ul>
      {kept.length > 0 && (
        <p className="figure mt-2 text-right font-semibold">
          Kept: <Money minor={sum((one) => one.price?.low ?? 0)} currency={build.currency} whole />{' '}
          to <Money minor={sum((one) => one.price?.high ?? 0)} currency={build.currency} whole />,{' '}
          {hoursWords(
            sum((one) => one.hours.low),
            sum((one) => one.hours.high),
          )}
        </p>
      )}
    </section>
  )
}

/** Why, limits, how much is enough. */
export function BriefQuestions({ build }: { build: string }) {
  const brief = useBrief(build)
  const sheet = useBuildSheet(build, 'brief', () => brief.mutate())
  return <SheetSteps steps={BRIEF_STEPS} answers={sheet.answers} onSay={sheet.say} />
}

/** The law and the papers: who said what, when, on which paper. */
export function Law({ build }: { build: string }) {
  const brief = useBrief(build)
  const sheet = useBuildSheet(build, 'law', () => brief.mutate())
  const id = useId()
  return (
    <section aria-label="Law and papers" className="mb-5">
      <h2 className="border-b border-ink pb-1 font-bold">Law and papers</h2>
      <p className="py-1 text-steel">
        Rules differ by place and date. This reminds and records; the local authority decides, and
        an engineer signs.
      </p>
      {LAW_ITEMS.map(([item, words], index) => (
        <fieldset key={item} className="border-b border-line py-1.5">
          <legend className="float-left w-full font-semibold">{words}</legend>
          <div className="clear-both grid grid-cols-[130px_135px_minmax(0,1fr)_minmax(0,1fr)] gap-2 pt-1 max-[700px]:grid-cols-2">
            {LAW_STEPS[index]!.questions.map((question) => (
              <label key={question.id} htmlFor={`${id}-${question.id}`} className="block">
                <span className="sr-only">
                  {words}: {question.words}
                </span>
                <Small
                  id={`${id}-${question.id}`}
                  question={question}
                  value={sheet.answers[question.id]?.value ?? ''}
                  onSay={(value) => sheet.say(question.id, value)}
                />
              </label>
            ))}
          </div>
        </fieldset>
      ))}
    </section>
  )
}

function Small({
  id,
  question,
  value,
  onSay,
}: {
  id: string
  question: (typeof LAW_STEPS)[number]['questions'][number]
  value: string
  onSay: (value: string) => void
}) {
  if (question.type === 'choice')
    return (
      <Select
        id={id}
        value={value}
        options={optionsOf(question.choices ?? [])}
        nothing="Not looked at"
        onChange={onSay}
      />
    )
  if (question.type === 'date')
    return (
      <input
        id={id}
        type="date"
        value={value}
        onChange={(event) => onSay(event.target.value)}
        className={INPUT}
      />
    )
  return (
    <input
      key={value}
      id={id}
      defaultValue={value}
      placeholder={question.words}
      onBlur={(event) => event.target.value !== value && onSay(event.target.value)}
      className={INPUT}
    />
  )
}

/** Worth more uncut: three sums side by side. */
export function Uncut({ build }: { build: Build }) {
  const brief = useBrief(build.id)
  const sheet = useBuildSheet(build.id, 'uncut', () => brief.mutate())
  const data = brief.data?.uncut
  return (
    <Folded words="Is it worth more uncut?">
      {UNCUT_STEPS[0]!.questions.map((question) => (
        <SheetQuestionRow
          key={question.id}
          question={question}
          value={sheet.answers[question.id]?.value ?? ''}
          onSay={(value) => sheet.say(question.id, value)}
        />
      ))}
      {data && (
        <>
          <Sums
            lines={[
              { words: 'Sold as it stands', minor: data.asItStands },
              { words: 'Repaired like for like, less the repair', minor: data.repaired },
              { words: 'With the swap, less the likely cost', minor: data.swapped },
            ]}
            currency={build.currency}
            whole
          />
          <p className="border-l-[3px] border-line pl-2.5">{data.words}</p>
        </>
      )}
    </Folded>
  )
}
