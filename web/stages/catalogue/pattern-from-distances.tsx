import { type FormEvent, useState } from 'react'
import type { Sense } from '../../../core/patterns/from-chords.ts'
import { parseChords } from '../../../core/patterns/parse-chords.ts'
import { parseQuantity } from '../../../core/quantity/units.ts'
import { call } from '../../api/client.ts'
import { useReading } from '../../api/hooks.ts'
import { Field, INPUT } from '../../components/fields/field.tsx'
import { type Option, Select } from '../../components/fields/select.tsx'
import { Button } from '../../components/ui.tsx'
import { type Found, input, LEAST_PM } from './found-pattern.tsx'

const SENSES: readonly Option<Sense>[] = [
  { value: 'clockwise', words: 'clockwise' },
  { value: 'counter-clockwise', words: 'counter-clockwise' },
]

/** A pattern from distances typed hole by hole. */
export function FromDistances({
  port,
  looks,
  onFound,
}: {
  port: string
  looks: 'forward' | 'rearward'
  onFound: (found: Found) => void
}) {
  const draft = `draft:chords:${port}`
  const [typed, setTyped] = useState<{
    text: string
    count: string
    sense: Sense
    first: string
    hole: string
  }>(() => ({
    text: '',
    count: '6',
    sense: 'clockwise',
    first: '90',
    hole: '10.5',
    ...JSON.parse(localStorage.getItem(draft) ?? '{}'),
  }))
  const [fault, setFault] = useState('')
  const reading = useReading()
  const set = (more: Partial<typeof typed>): void => {
    const next = { ...typed, ...more }
    setTyped(next)
    localStorage.setItem(draft, JSON.stringify(next))
  }
  const work = async (event: FormEvent): Promise<void> => {
    event.preventDefault()
    setFault('')
    try {
      const d = parseQuantity(typed.hole, 'mm', reading)
      const chords = parseChords(typed.text, reading)
      const pattern = await call('POST /patterns/chords', {
        body: {
          count: Number(typed.count),
          sense: typed.sense,
          looks,
          firstDeg: Number(typed.first),
          chords,
        },
      })
      const worst = pattern.misfits.reduce(
        (at, misfit, i) => (Math.abs(misfit) > Math.abs(pattern.misfits[at]!) ? i : at),
        0,
      )
      const { from, to } = chords[worst]!
      const name = (hole: number): string => (hole === 0 ? 'the axis' : `hole ${hole}`)
      onFound({
        from: 'Distances between holes',
        holes: pattern.holes.map((hole) => ({
          x: Number(hole.x.toFixed(3)),
          y: Number(hole.y.toFixed(3)),
          d,
        })),
        dowels: [],
        grade: 'measured',
        plusMinus:
          pattern.spare > 0 && pattern.isAxisKnown
            ? Math.max(LEAST_PM, Number(Math.abs(pattern.misfits[worst]!).toFixed(2)))
            : null,
        says: [
          `${chords.length} distances, ${pattern.spare} more than needed; they agree within ${pattern.rmsMm.toFixed(2)} mm in the mean.`,
          pattern.spare > 0
            ? `Worst: ${name(from)} to ${name(to)}, off by ${Math.abs(pattern.misfits[worst]!).toFixed(2)} mm: measure it again if that is much.`
            : 'None to spare, so nothing checks them: measure one more.',
          pattern.isAxisKnown
            ? ''
            : 'Fewer than three distances to the axis: where the pattern stands on the crank is not measured.',
        ].join(' '),
      })
    } catch (error) {
      setFault((error as Error).message)
    }
  }
  return (
    <form onSubmit={(event) => void work(event)} className="flex flex-col gap-3">
      <h2 className="font-bold">From distances between holes</h2>
      <p className="text-steel">
        Number the holes in order. Measure centre to centre, across as well as along, and from at
        least three holes to the middle of the crank or register bore. Between two holes of one
        size, edge to same edge is centre to centre.
      </p>
      <div className="grid grid-cols-4 gap-3">
        <label>
          <span className="mb-1 block font-semibold">Holes</span>
          <input
            value={typed.count}
            inputMode="numeric"
            onChange={(event) => set({ count: event.target.value })}
            className={`${INPUT} figure`}
          />
        </label>
        <label>
          <span className="mb-1 block font-semibold">Hole Ø</span>
          <input
            value={typed.hole}
            onChange={(event) => set({ hole: event.target.value })}
            className={`${INPUT} figure`}
          />
        </label>
        <Field label="Numbers run, looking at the face" className="col-span-2">
          {({ id }) => (
            <Select
              id={id}
              value={typed.sense}
              options={SENSES}
              onChange={(sense) => set({ sense })}
            />
          )}
        </Field>
      </div>
      <label>
        <span className="mb-1 block font-semibold">
          Hole 1 stands at, ° counter-clockwise from the right, looking at the face
        </span>
        <input
          value={typed.first}
          inputMode="decimal"
          onChange={(event) => set({ first: event.target.value })}
          className={`${input} figure w-28`}
        />
      </label>
      <label>
        <span className="mb-1 block font-semibold">Distances, a line each</span>
        <textarea
          rows={9}
          value={typed.text}
          onChange={(event) => set({ text: event.target.value })}
          placeholder={'1 2 173.2\n1 3 11 1/4 in\n1 axis 180'}
          className={`${INPUT} figure`}
        />
      </label>
      {fault && (
        <p role="alert" className="border-l-[3px] border-clash pl-2.5">
          {fault}
        </p>
      )}
      <Button type="submit" className="self-start">
        Work out the pattern
      </Button>
    </form>
  )
}
