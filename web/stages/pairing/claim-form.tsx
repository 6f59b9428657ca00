import { type FormEvent, useState } from 'react'
import { toast } from 'sonner'
import type { MissingField } from '../../../core/joints/verdict.ts'
import { type FaceView, isPlaced } from '../../../core/patterns/as-stored.ts'
import type { FieldWords } from '../../../core/ports/field.ts'
import { fieldsOf, isPortKind, PORT_KINDS } from '../../../core/ports/index.ts'
import { parseFields, unusualTyped } from '../../../core/ports/parse.ts'
import { GRADES, type Grade } from '../../../core/quantity/grade.ts'
import { METHODS } from '../../../core/quantity/methods.ts'
import { parsePlusMinus } from '../../../core/quantity/units.ts'
import { call } from '../../api/client.ts'
import { act, useReading } from '../../api/hooks.ts'
import { usePerson } from '../../api/person.ts'
import { FaceViewChoice } from '../../components/face-view.tsx'
import { Check } from '../../components/fields/check.tsx'
import { Field, INPUT } from '../../components/fields/field.tsx'
import { Radios } from '../../components/fields/radios.tsx'
import { optionsOf, Select, YES_NO } from '../../components/fields/select.tsx'
import { Photos } from '../../components/photos/photos.tsx'
import { TypedInput } from '../../components/typed-input.tsx'
import { Button } from '../../components/ui.tsx'

/** A field of a port, by where it is. */
export const keyOf = (field: MissingField): string => `${field.port}.${field.field}`

const wordsOf = (field: MissingField): Readonly<Record<string, FieldWords<unknown>>> => {
  const kind = field.port.split('/')[1] ?? ''
  return isPortKind(kind) ? fieldsOf(kind) : {}
}

export interface Recorded {
  readonly shown: string
  readonly notUsed: string | null
}

/** Value, method with ± offered, this very part or one like it, and by whom. */
export function ClaimForm({
  build,
  field,
  onDone,
}: {
  build: string | null
  field: MissingField
  /** With what was recorded, and why it is not what is leaned on where another claim stands. */
  onDone: (recorded: Recorded) => void
}) {
  const words = wordsOf(field)[field.field] ?? null
  const reading = useReading()
  const draft = `draft:claim:${keyOf(field)}`
  const [typed, setTyped] = useState(localStorage.getItem(draft) ?? '')
  const [method, setMethod] = useState<string>(words?.methods[0] ?? '')
  const [plusMinus, setPlusMinus] = useState('')
  const [grade, setGrade] = useState<Grade>('measured')
  const [specimen, setSpecimen] = useState<'very' | 'like'>('very')
  const person = usePerson()
  const [by, setBy] = useState(person.name ?? localStorage.getItem('by') ?? '')
  const [source, setSource] = useState('')
  const [fault, setFault] = useState('')
  const [view, setView] = useState<FaceView | ''>('')
  const [isSo, setSo] = useState(false)
  if (!words) return null
  const choices = words.choices ? optionsOf(words.choices) : words.type === 'flag' ? YES_NO : null
  const offered = method in METHODS ? METHODS[method as keyof typeof METHODS].plusMinus : null

  const save = async (event: FormEvent): Promise<void> => {
    event.preventDefault()
    setFault('')
    try {
      parseFields(wordsOf(field), field.field, typed, reading)
      const stated =
        plusMinus.trim() === '' ? null : parsePlusMinus(plusMinus, typed, words.unit, reading)
      localStorage.setItem('by', by)
      const recorded: Recorded[] = []
      const written = await act(async () => {
        const { notUsed } = await call('POST /claims', {
          body: {
            portId: field.port,
            field: field.field,
            typed,
            decimal: reading.decimal,
            ...(view ? { view } : {}),
            isSo,
            plusMinus: stated,
            grade,
            ...(method && grade === 'measured' ? { method } : {}),
            by: by || null,
            source: source || null,
            ...(build && specimen === 'very' && (grade === 'measured' || grade === 'fitted')
              ? { build, thisVeryPart: true }
              : {}),
          },
        })
        recorded.push({ shown: typed, notUsed })
      }, `${field.label} recorded on ${field.partName}.`)
      const [first] = recorded
      if (!written || !first) return
      localStorage.removeItem(draft)
      if (first.notUsed) toast.warning(first.notUsed, { duration: 20_000 })
      onDone(first)
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
      <Field label="Value">
        {({ id }) =>
          choices ? (
            <Select id={id} value={typed} options={choices} nothing="Choose" onChange={type} />
          ) : (
            <TypedInput id={id} words={words} value={typed} onChange={type} isFirst />
          )
        }
      </Field>
      {unusualTyped(words, typed, reading) && (
        <Check isChecked={isSo} onChange={setSo}>
          It is so, though it is unusual
        </Check>
      )}
      {looksForward(field) && isPlaced(words) && (
        <FaceViewChoice view={view} onChange={setView} words={words} typed={typed} />
      )}
      <Field label="How it is known">
        {({ id }) => (
          <Select
            id={id}
            value={grade}
            options={GRADES.toReversed().map((one) => ({ value: one, words: GRADE_SAYS[one] }))}
            onChange={setGrade}
          />
        )}
      </Field>
      {grade === 'measured' && words.methods.length > 0 && (
        <div className="grid grid-cols-[2fr_1fr] gap-3">
          <Field label="Method">
            {({ id }) => (
              <Select
                id={id}
                value={method}
                options={words.methods.map((one) => ({ value: one, words: METHODS[one].words }))}
                nothing="Another way"
                onChange={setMethod}
              />
            )}
          </Field>
          <label>
            <span className="mb-1 block font-semibold">±</span>
            <input
              value={plusMinus}
              onChange={(event) => setPlusMinus(event.target.value)}
              placeholder={offered === null ? 'not known' : String(offered)}
              className={`${INPUT} figure`}
            />
          </label>
        </div>
      )}
      {build && (grade === 'measured' || grade === 'fitted') && (
        <div>
          <span className="mb-1 block font-semibold">Taken on</span>
          <Radios label="Taken on" value={specimen} options={SPECIMENS} onChange={setSpecimen} />
        </div>
      )}
      <div className="grid grid-cols-2 gap-3">
        <label>
          <span className="mb-1 block font-semibold">By whom</span>
          <input value={by} onChange={(event) => setBy(event.target.value)} className={INPUT} />
        </label>
        <label>
          <span className="mb-1 block font-semibold">Source</span>
          <input
            value={source}
            onChange={(event) => setSource(event.target.value)}
            placeholder="photo, sheet, who said it"
            className={INPUT}
          />
        </label>
      </div>
      <Photos
        of={{ partId: field.part, spot: `measured:${keyOf(field)}` }}
        what={`${field.label} on ${field.partName}`}
      />
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

/** Of the faces only those behind, and what is always so. */
function looksForward(field: MissingField): boolean {
  const [, kind = '', slot = ''] = field.port.split('/')
  if (kind === 'face') return slot !== 'rear'
  return isPortKind(kind) && PORT_KINDS[kind].looks === 'forward'
}

const SPECIMENS = [
  { value: 'very', words: 'this very part' },
  { value: 'like', words: 'one like it' },
] as const

const GRADE_SAYS: Record<(typeof GRADES)[number], string> = {
  fitted: 'Fitted: mated or run here',
  measured: 'Measured by us',
  maker: 'Maker: drawing or standard',
  catalogue: 'Catalogue',
  heard: 'Heard: somebody said it',
  assumed: 'Assumed',
}
