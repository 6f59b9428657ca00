import { type FormEvent, useState } from 'react'
import type { JointDetail, PairingDetail } from '../../../contract/answers/pairings.ts'
import type { Grade } from '../../../core/quantity/grade.ts'
import { useAnswer } from '../../api/answer.ts'
import { call } from '../../api/client.ts'
import { act } from '../../api/hooks.ts'
import { usePerson } from '../../api/person.ts'
import { INPUT } from '../../components/fields/field.tsx'
import { type Option, Select } from '../../components/fields/select.tsx'
import { Button } from '../../components/ui.tsx'

const SUBJECTS = [
  { value: 'joint', words: 'At this joint' },
  { value: 'kit', words: 'With a kit' },
  { value: 'build', words: 'In a whole finished build' },
] as const
const OF = [
  { value: 'parts', words: 'these two' },
  { value: 'families', words: 'any of these families' },
] as const
const SAYS = [
  { value: 'yes', words: 'go together' },
  { value: 'no', words: 'do not go together' },
] as const
const GRADE_SAYS: readonly Option<Grade>[] = [
  { value: 'fitted', words: 'we bolted them together here' },
  { value: 'heard', words: 'somebody said so' },
  { value: 'catalogue', words: 'an advert or catalogue says so' },
  { value: 'maker', words: 'its maker says so' },
]

interface Typed {
  readonly subject: 'joint' | 'kit' | 'build'
  readonly kitId: string
  /** The two parts themselves, or whatever carries their pattern families. */
  readonly of: 'parts' | 'families'
  readonly says: 'yes' | 'no'
  readonly grade: Grade
  readonly sentence: string
  readonly source: string
  readonly distance: string
  readonly changes: string
  readonly known: string
}

const BLANK: Typed = {
  subject: 'joint',
  kitId: '',
  of: 'parts',
  says: 'yes',
  grade: 'fitted',
  sentence: '',
  source: '',
  distance: '',
  changes: '',
  known: '',
}

/** A claim as a sentence: who goes with whom, how it is known, where it is written. */
export function Sentence({
  joint,
  pairing,
  onDone,
}: {
  joint: JointDetail
  pairing: PairingDetail
  onDone: () => void
}) {
  const kits = useAnswer('GET /kits').data?.items ?? []
  const person = usePerson()
  const draft = `draft:joint-claim:${pairing.engine}:${pairing.transmission}:${joint.joint}`
  const [typed, setTyped] = useState<Typed>(() => ({
    ...BLANK,
    ...JSON.parse(localStorage.getItem(draft) ?? '{}'),
  }))
  const { subject, kitId, of, says, grade, sentence, source, distance, changes, known } = typed
  const set = (more: Partial<Typed>): void => {
    const next = { ...typed, ...more }
    setTyped(next)
    localStorage.setItem(draft, JSON.stringify(next))
  }
  const hasFamilies = pairing.engineFamily !== null && pairing.transmissionFamily !== null
  const byFamily = hasFamilies && of === 'families'
  const [fault, setFault] = useState('')
  const figure = (typed: string, what: string): number | null => {
    if (typed.trim() === '') return null
    const value = Number(typed.replace(/\s/g, ''))
    if (!Number.isInteger(value) || value < 0)
      throw new RangeError(`"${typed}" is not a whole figure of ${what}.`)
    return value
  }
  const save = async (event: FormEvent): Promise<void> => {
    event.preventDefault()
    setFault('')
    try {
      if (subject === 'kit' && kitId === '') throw new RangeError('Choose the kit it speaks of.')
      const body = {
        subject,
        joint: subject === 'joint' ? joint.joint : null,
        ...(byFamily
          ? { engineFamily: pairing.engineFamily, transmissionFamily: pairing.transmissionFamily }
          : { engineId: pairing.engine, transmissionId: pairing.transmission }),
        kitId: subject === 'kit' ? kitId : null,
        says,
        grade,
        sentence: sentence || null,
        source: source || null,
        saidBy: person.name,
        distanceKm: subject === 'build' ? figure(distance, 'kilometres') : null,
        changes: subject === 'build' ? changes || null : null,
        known: subject === 'build' ? figure(known, 'such builds') : null,
      }
      if (!(await act(() => call('POST /joint-claims', { body }), 'Kept with its grade.'))) return
      localStorage.removeItem(draft)
      onDone()
    } catch (error) {
      setFault((error as Error).message)
    }
  }
  return (
    <form onSubmit={(event) => void save(event)} className="flex flex-col gap-3">
      <p className="text-[15px] leading-[2.4]">
        <Select
          aria-label="What is spoken of"
          value={subject}
          options={SUBJECTS}
          onChange={(chosen) => set({ subject: chosen })}
          isNarrow
        />{' '}
        {subject === 'kit' && (
          <>
            <Select
              aria-label="Kit"
              value={kitId}
              options={kits.map((kit) => ({ value: kit.id, words: kit.name }))}
              nothing="which kit?"
              onChange={(chosen) => set({ kitId: chosen })}
              isNarrow
            />{' '}
          </>
        )}
        {hasFamilies && (
          <>
            <Select
              aria-label="Which engine and gearbox"
              value={of}
              options={OF}
              onChange={(chosen) => set({ of: chosen })}
              isNarrow
            />{' '}
          </>
        )}
        <b>{byFamily ? pairing.engineFamily : pairing.engineName}</b> and{' '}
        <b>{byFamily ? pairing.transmissionFamily : pairing.transmissionName}</b>{' '}
        <Select
          aria-label="Go together"
          value={says}
          options={SAYS}
          onChange={(chosen) => set({ says: chosen })}
          isNarrow
        />
        ;{' '}
        <Select
          aria-label="How it is known"
          value={grade}
          options={GRADE_SAYS}
          onChange={(chosen) => set({ grade: chosen })}
          isNarrow
        />
        .
      </p>
      <label>
        <span className="mb-1 block font-semibold">In a sentence</span>
        <textarea
          rows={2}
          value={sentence}
          onChange={(event) => set({ sentence: event.target.value })}
          className={INPUT}
        />
      </label>
      <label>
        <span className="mb-1 block font-semibold">Where it is written or shown</span>
        <input
          value={source}
          onChange={(event) => set({ source: event.target.value })}
          placeholder="photo, advert, who"
          className={INPUT}
        />
      </label>
      {subject === 'build' && (
        <div className="grid grid-cols-3 gap-3">
          <label>
            <span className="mb-1 block font-semibold">Kilometres since</span>
            <input
              value={distance}
              inputMode="numeric"
              onChange={(event) => set({ distance: event.target.value })}
              className={`${INPUT} figure`}
            />
          </label>
          <label>
            <span className="mb-1 block font-semibold">What was changed</span>
            <input
              value={changes}
              onChange={(event) => set({ changes: event.target.value })}
              className={INPUT}
            />
          </label>
          <label>
            <span className="mb-1 block font-semibold">How many such are known</span>
            <input
              value={known}
              inputMode="numeric"
              onChange={(event) => set({ known: event.target.value })}
              className={`${INPUT} figure`}
            />
          </label>
        </div>
      )}
      <p className="text-steel">
        It answers only where nothing is measured; a limit that would break something waits for
        fitted. Elsewhere the computed verdict stands.
      </p>
      {fault && (
        <p role="alert" className="border-l-[3px] border-clash pl-2.5">
          {fault}
        </p>
      )}
      <Button type="submit" tone="main" className="self-start">
        Keep this claim
      </Button>
    </form>
  )
}
