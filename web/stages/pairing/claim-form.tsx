import { type FormEvent, useState } from 'react'
import type { MissingField } from '../../../core/joints/verdict.ts'
import type { FieldWords } from '../../../core/ports/field.ts'
import { fieldsOf, isPortKind } from '../../../core/ports/index.ts'
import { parseFields } from '../../../core/ports/parse.ts'
import { GRADES, type Grade, isGrade } from '../../../core/quantity/grade.ts'
import { METHODS } from '../../../core/quantity/methods.ts'
import { call } from '../../api/client.ts'
import { act, useReading } from '../../api/hooks.ts'
import { usePerson } from '../../api/person.ts'
import { TypedInput } from '../../components/typed-input.tsx'
import { Button } from '../../components/ui.tsx'

/** A field of a port, by where it is. */
export const keyOf = (field: MissingField): string => `${field.port}.${field.field}`

const input = 'w-full rounded border border-steel bg-ground px-2 py-1.5'

const wordsOf = (field: MissingField): Readonly<Record<string, FieldWords<unknown>>> => {
  const kind = field.port.split('/')[1] ?? ''
  return isPortKind(kind) ? fieldsOf(kind) : {}
}

/** Value, method with ± offered, this very part or one like it, and by whom. */
export function ClaimForm({
  build,
  field,
  onDone,
}: {
  build: string | null
  field: MissingField
  onDone: () => void
}) {
  const words = wordsOf(field)[field.field] ?? null
  const reading = useReading()
  const draft = `draft:claim:${keyOf(field)}`
  const [typed, setTyped] = useState(localStorage.getItem(draft) ?? '')
  const [method, setMethod] = useState<string>(words?.methods[0] ?? '')
  const [plusMinus, setPlusMinus] = useState('')
  const [grade, setGrade] = useState<Grade>('measured')
  const [very, setVery] = useState(true)
  const person = usePerson()
  const [by, setBy] = useState(person.name ?? localStorage.getItem('by') ?? '')
  const [source, setSource] = useState('')
  const [fault, setFault] = useState('')
  if (!words) return null
  const offered = method in METHODS ? METHODS[method as keyof typeof METHODS].plusMinus : null

  const save = async (event: FormEvent): Promise<void> => {
    event.preventDefault()
    setFault('')
    try {
      parseFields(wordsOf(field), field.field, typed, reading)
      const stated = plusMinus.trim() === '' ? null : Number(plusMinus.replace(',', '.'))
      if (stated !== null && !(stated >= 0))
        throw new RangeError(
          `"${plusMinus}" is not a ±. Type a figure such as 0.1, or leave it out.`,
        )
      localStorage.setItem('by', by)
      const written = await act(
        () =>
          call('POST /claims', {
            body: {
              portId: field.port,
              field: field.field,
              typed,
              decimal: reading.decimal,
              plusMinus: stated,
              grade,
              ...(method && grade === 'measured' ? { method } : {}),
              by: by || null,
              source: source || null,
              ...(build && very && (grade === 'measured' || grade === 'fitted')
                ? { build, thisVeryPart: true }
                : {}),
            },
          }),
        `${field.label} recorded on ${field.partName}.`,
      )
      if (!written) return
      localStorage.removeItem(draft)
      onDone()
    } catch (error) {
      setFault((error as Error).message)
    }
  }
  const type = (text: string): void => {
    setTyped(text)
    localStorage.setItem(draft, text)
  }

  return (
    <form onSubmit={(event) => void save(event)} className="flex flex-col gap-3">
      <p>
        <b>{field.label}</b>
        <span className="text-steel">, {field.partName}</span>
      </p>
      <label className="block">
        <span className="mb-1 block font-semibold">Value</span>
        {words.choices ? (
          <select value={typed} onChange={(event) => type(event.target.value)} className={input}>
            <option value="">Choose</option>
            {words.choices.map((choice) => (
              <option key={choice}>{choice}</option>
            ))}
          </select>
        ) : words.type === 'flag' ? (
          <select value={typed} onChange={(event) => type(event.target.value)} className={input}>
            <option value="">Choose</option>
            <option>yes</option>
            <option>no</option>
          </select>
        ) : (
          <TypedInput words={words} value={typed} onChange={type} />
        )}
      </label>
      <label className="block">
        <span className="mb-1 block font-semibold">How it is known</span>
        <select
          value={grade}
          onChange={({ target }) => isGrade(target.value) && setGrade(target.value)}
          className={input}
        >
          {[...GRADES].reverse().map((one) => (
            <option key={one} value={one}>
              {GRADE_SAYS[one]}
            </option>
          ))}
        </select>
      </label>
      {grade === 'measured' && words.methods.length > 0 && (
        <div className="grid grid-cols-[2fr_1fr] gap-3">
          <label>
            <span className="mb-1 block font-semibold">Method</span>
            <select
              value={method}
              onChange={(event) => setMethod(event.target.value)}
              className={input}
            >
              {words.methods.map((id) => (
                <option key={id} value={id}>
                  {METHODS[id].words}
                </option>
              ))}
              <option value="">Another way</option>
            </select>
          </label>
          <label>
            <span className="mb-1 block font-semibold">±</span>
            <input
              value={plusMinus}
              onChange={(event) => setPlusMinus(event.target.value)}
              placeholder={offered === null ? 'not known' : String(offered)}
              className={`${input} figure`}
            />
          </label>
        </div>
      )}
      {build && (grade === 'measured' || grade === 'fitted') && (
        <fieldset className="flex gap-5">
          <legend className="mb-1 font-semibold">Taken on</legend>
          {[true, false].map((value) => (
            <label key={String(value)} className="flex items-center gap-1.5">
              <input
                type="radio"
                name="specimen"
                checked={very === value}
                onChange={() => setVery(value)}
                className="accent-(--color-accent)"
              />
              {value ? 'this very part' : 'one like it'}
            </label>
          ))}
        </fieldset>
      )}
      <div className="grid grid-cols-2 gap-3">
        <label>
          <span className="mb-1 block font-semibold">By whom</span>
          <input value={by} onChange={(event) => setBy(event.target.value)} className={input} />
        </label>
        <label>
          <span className="mb-1 block font-semibold">Source</span>
          <input
            value={source}
            onChange={(event) => setSource(event.target.value)}
            placeholder="photo, sheet, who said it"
            className={input}
          />
        </label>
      </div>
      {fault && (
        <p role="alert" className="border-l-[3px] border-clash pl-2.5">
          {fault}
        </p>
      )}
      <Button type="submit" tone="main" className="self-start">
        Record measurement
      </Button>
    </form>
  )
}

const GRADE_SAYS: Record<(typeof GRADES)[number], string> = {
  fitted: 'Fitted: mated or run here',
  measured: 'Measured by us',
  maker: 'Maker: drawing or standard',
  catalogue: 'Catalogue',
  heard: 'Heard: somebody said it',
  assumed: 'Assumed',
}
