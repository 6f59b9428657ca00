import { useMemo, useState } from 'react'
import type { Pairings } from '../../../contract/answers/pairings.ts'
import { parseMoney } from '../../../core/money/money.ts'
import {
  WEIGHT_WORDS,
  WEIGHTS,
  type WeightName,
  weigh,
  weightsOf,
} from '../../../core/pairing/weigh.ts'
import { call } from '../../api/client.ts'
import { act, useSettings } from '../../api/hooks.ts'
import { Button, Money } from '../../components/ui.tsx'
import type { PairingRow } from './pairing-rows.ts'

const PROPOSED = 3

/** The three that come to least under the brief, each with what adds up to it; what each thing is weighed by can be changed. */
export function BestThree({
  pairings,
  rows,
  isDone,
  onLook,
}: {
  pairings: Pairings
  rows: readonly PairingRow[]
  /** Whether all of the list is worked out. */
  isDone: boolean
  onLook: (row: PairingRow) => void
}) {
  const kept = useSettings().data?.weights
  const [isEditing, edit] = useState(false)
  const { euroMinor, currency } = pairings
  const found = useMemo(() => {
    const { limits } = pairings
    const weights = weightsOf(kept ?? {})
    const weighed = rows.flatMap((row) => {
      const { figures } = row
      // The engine that came with the vehicle is what goes.
      if (!figures || row.engineAt === 'vehicle') return []
      const codes = row.joints.map(({ code, closed }) => closed ?? code)
      return { row, weighing: weigh({ ...figures, codes }, limits, weights, euroMinor ?? 100) }
    })
    return {
      best: weighed
        .flatMap(({ row, weighing }) => ('out' in weighing ? [] : { row, ...weighing }))
        .sort((p, q) => p.minor - q.minor)
        .slice(0, PROPOSED),
      out: weighed.filter(({ weighing }) => 'out' in weighing).length,
      of: weighed.length,
    }
  }, [rows, pairings, kept, euroMinor])
  if (found.of === 0) return null
  return (
    <section aria-label="Best under the brief">
      <h3 className="font-bold">
        Best under the brief{' '}
        <span className="font-normal text-steel">
          of <span className="figure">{found.of - found.out}</span> that can be;{' '}
          <span className="figure">{found.out}</span> clash or break a limit
          {isDone ? '' : ', so far'}
        </span>
      </h3>
      <ol>
        {found.best.map(({ row, minor, shares }) => (
          <li key={row.key} className="border-line border-b py-1.5">
            <div className="flex gap-3">
              <button
                type="button"
                className="text-left text-accent underline underline-offset-2"
                onClick={() => onLook(row)}
              >
                {row.engine} with {row.transmission}
                {row.transfer && ` and ${row.transfer}`}
              </button>
              <span className="ml-auto shrink-0">
                <Money minor={minor} currency={currency} whole />
              </span>
            </div>
            <div className="text-steel">
              <Money minor={row.figures?.money?.likely} currency={currency} whole /> likely
              {shares.map(({ words, minor: more }) => (
                <span key={words}>
                  {' '}
                  + <Money minor={more} currency={currency} whole /> {words}
                </span>
              ))}
            </div>
          </li>
        ))}
      </ol>
      {found.best.length === 0 && (
        <p className="text-steel">
          {isDone
            ? 'None clears the brief: something must give, a limit or a joint.'
            : 'None so far.'}
        </p>
      )}
      <Button tone="quiet" aria-expanded={isEditing} onClick={() => edit(!isEditing)}>
        What they are weighed by
      </Button>
      {isEditing && <WeightsForm kept={kept ?? {}} />}
    </section>
  )
}

/** The price of each thing that money does not count, whole euros, kept for the shop. */
function WeightsForm({ kept }: { kept: Readonly<Record<string, number>> }) {
  const weights = weightsOf(kept)
  const [wrong, tell] = useState<string | null>(null)
  const save = (name: WeightName, text: string): void => {
    let value: number | null
    try {
      value = text.trim() === '' ? null : parseMoney(text, 'EUR') / 100
      if (value !== null && (value < 0 || value > 100_000))
        throw new RangeError(`"${text}" is no price here. Type euros from 0 to 100 000.`)
    } catch (error) {
      tell((error as Error).message)
      return
    }
    tell(null)
    if (value === weights[name]) return
    void act(() => call('PATCH /settings', { body: { weights: { [name]: value } } }))
  }
  return (
    <div className="flex flex-col gap-1 pt-1">
      {(Object.keys(WEIGHTS) as WeightName[]).map((name) => (
        <label key={`${name} ${weights[name]}`} className="flex items-center gap-2">
          <span>€</span>
          <input
            className="figure w-20 rounded border border-steel bg-paper px-2 py-0.5 text-right"
            defaultValue={weights[name]}
            inputMode="decimal"
            onBlur={({ target }) => save(name, target.value)}
            onKeyDown={({ key, currentTarget }) =>
              key === 'Enter' && save(name, currentTarget.value)
            }
          />
          <span>{WEIGHT_WORDS[name]}</span>
        </label>
      ))}
      {wrong && (
        <p role="alert" className="border-l-[3px] border-clash pl-2.5">
          {wrong}
        </p>
      )}
      <p className="text-steel">Empty it for the usual figure. Kept for the shop.</p>
    </div>
  )
}
