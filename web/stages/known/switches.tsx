import { useState } from 'react'
import type { Difference, KnownView } from '../../../contract/answers/facts.ts'
import { call } from '../../api/client.ts'
import { act } from '../../api/hooks.ts'
import { usePerson } from '../../api/person.ts'
import { Select } from '../../components/fields/select.tsx'
import { Button, Money, Span } from '../../components/ui.tsx'
import { valueWords } from './question-row.tsx'

/** Schools and wishes that shops change their mind about. */
const SWITCHES = [
  ['build.school', 'Service of the engine'],
  ['build.box-school', 'Service of the gearbox'],
  ['build.place', 'Placement'],
  ['build.box', 'Whose gearbox'],
  ['gearbox.type', 'Manual or automatic'],
  ['keep.air', 'Air conditioning stays'],
  ['choice.loom', 'Loom'],
] as const

/** What another choice would change, seen before it is taken; several together too. */
export function Switches({ build, view }: { build: string; view: KnownView }) {
  const person = usePerson()
  const [tried, setTried] = useState<Readonly<Record<string, string>>>({})
  const [difference, setDifference] = useState<Difference | null>(null)
  const facts = new Map(view.owners.flatMap(({ facts }) => facts).map((fact) => [fact.key, fact]))
  const change = async (key: string, value: string): Promise<void> => {
    const next = { ...tried, [key]: value }
    if (value === facts.get(key)?.value) delete next[key]
    setTried(next)
    setDifference(null)
    if (Object.keys(next).length === 0) return
    await act(async () => {
      setDifference(
        await call('POST /builds/{id}/what-if', { params: { id: build }, body: { facts: next } }),
      )
    })
  }
  const clear = (): void => {
    setTried({})
    setDifference(null)
  }
  const accept = (): Promise<boolean> =>
    act(async () => {
      for (const [key, value] of Object.entries(tried))
        await call('POST /builds/{id}/facts', {
          params: { id: build },
          body: { key, value, by: person.name },
        })
      clear()
    }, 'Taken: the list follows. History takes it back.')
  return (
    <section aria-label="What if" className="mb-3 border border-line bg-bench px-3 py-2">
      <h2 className="font-bold">What if</h2>
      <p className="mb-1 text-steel">Nothing changes until it is taken.</p>
      <div className="grid grid-cols-2 gap-x-4 gap-y-1 max-[560px]:grid-cols-1">
        {SWITCHES.map(([key, words]) => {
          const fact = facts.get(key)
          if (!fact) return null
          const now = tried[key] ?? fact.value ?? ''
          return (
            <div key={key} className="flex items-baseline gap-2">
              <span className={tried[key] ? 'font-semibold' : ''}>{words}</span>
              <span className="ml-auto w-[128px]">
                <Select
                  aria-label={words}
                  value={now}
                  nothing={now === '' ? 'Not chosen' : undefined}
                  options={fact.values.map((value) => ({ value, words: valueWords(value) }))}
                  onChange={(value) => value && void change(key, value)}
                />
              </span>
            </div>
          )
        })}
      </div>
      {difference && (
        <div className="mt-2 border-t border-line pt-2" role="status">
          <p>
            <b>
              {difference.comes.length} lines in, {difference.goes.length} out.
            </b>{' '}
            Likely <Span range={difference.before.likely} currency={difference.currency} />, then{' '}
            <Span range={difference.after.likely} currency={difference.currency} /> (middle{' '}
            <Money
              minor={difference.after.middleMinor - difference.before.middleMinor}
              currency={difference.currency}
              whole
            />
            ); hours {Math.round(difference.before.hours.low)}–
            {Math.round(difference.before.hours.high)}, then{' '}
            {Math.round(difference.after.hours.low)}–{Math.round(difference.after.hours.high)}.
          </p>
          <Moved title="Comes" lines={difference.comes} />
          <Moved title="Goes" lines={difference.goes} />
          <p className="flex gap-2 pt-1">
            <Button tone="main" onClick={() => void accept()}>
              Take it
            </Button>
            <Button onClick={clear}>Leave it as it is</Button>
          </p>
        </div>
      )}
    </section>
  )
}

const Moved = ({ title, lines }: { title: string; lines: Difference['comes'] }) =>
  lines.length === 0 ? null : (
    <details>
      <summary className="cursor-pointer text-accent underline">
        {title}: {lines.length}
      </summary>
      <ul>
        {lines.map(({ id, words, why }) => (
          <li key={id} className="border-b border-line py-0.5">
            {words} <span className="text-steel">{why}</span>
          </li>
        ))}
      </ul>
    </details>
  )
