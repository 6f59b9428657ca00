import { type ReactNode, useEffect, useId, useRef, useState } from 'react'
import { type FieldErrors, type UseFormRegister, useForm } from 'react-hook-form'
import { minorDigits, parseMoney } from '../../core/money/money.ts'
import { refresh } from '../api/answer.ts'
import { ApiProblem } from '../api/client.ts'
import { type Clash, mergeTexts } from './merge.ts'
import { Button } from './ui.tsx'

export type FieldSpec = {
  readonly name: string
  readonly label: string
  readonly hint?: string
  readonly wide?: boolean
} & (
  | {
      readonly type: 'text' | 'area' | 'date' | 'secret'
      readonly required?: boolean
      readonly upper?: boolean
    }
  | {
      readonly type: 'money'
      readonly required?: boolean
      readonly currency: string | ((values: Record<string, unknown>) => string)
    }
  | { readonly type: 'number' | 'percent'; readonly required?: boolean; readonly whole?: boolean }
  | {
      readonly type: 'select'
      readonly options: readonly { readonly value: string; readonly words: string }[]
      readonly required?: boolean
    }
  | { readonly type: 'check' }
)

/** What a field holds once it is read: null where nothing was typed and nothing had to be. */
type Held<S extends FieldSpec> = S extends { readonly type: 'check' }
  ? boolean
  : S extends { readonly type: 'money' | 'number' | 'percent' }
    ? number | OrNothing<S>
    : S extends {
          readonly type: 'select'
          readonly options: readonly { readonly value: infer V }[]
        }
      ? V | OrNothing<S>
      : string | OrNothing<S>
type OrNothing<S> = S extends { readonly required: true } ? never : null
/** What a form of these fields is sent as. */
export type ValuesOf<F extends readonly FieldSpec[]> = {
  readonly [S in F[number] as S['name']]: Held<S>
}

type Values = Record<string, unknown>

const input =
  'w-full rounded border border-steel bg-ground px-2 py-1.5 aria-[invalid=true]:border-clash'

/** How a stored value is shown in its input. */
function toText(spec: FieldSpec, value: unknown, values: Values): unknown {
  if (spec.type === 'check') return value === true
  if (value === null || value === undefined) return ''
  if (spec.type === 'money')
    return (Number(value) / 10 ** minorDigits(currencyOf(spec, values))).toFixed(
      minorDigits(currencyOf(spec, values)),
    )
  return spec.type === 'percent' ? String(Number((Number(value) * 100).toFixed(4))) : String(value)
}

const currencyOf = (spec: FieldSpec & { type: 'money' }, values: Values): string => {
  const code = typeof spec.currency === 'string' ? spec.currency : spec.currency(values)
  try {
    minorDigits(code)
    return code
  } catch {
    return 'EUR'
  }
}

/** Reads what was typed. @throws RangeError with what to do */
function toValue(spec: FieldSpec, text: unknown, values: Values): unknown {
  if (spec.type === 'check') return text === true
  const typed = String(text ?? '').trim()
  if (typed === '') {
    if ('required' in spec && spec.required)
      throw new RangeError(`Fill in ${spec.label.toLowerCase()}.`)
    return null
  }
  if (spec.type === 'money') return parseMoney(typed, currencyOf(spec, values))
  if (spec.type === 'number' || spec.type === 'percent') {
    const figure = Number(typed.replace(',', '.').replace('%', ''))
    if (!Number.isFinite(figure))
      throw new RangeError(
        `"${typed}" is not a number. Type figures such as ${spec.type === 'percent' ? '21' : '12'}.`,
      )
    if (spec.whole && !Number.isInteger(figure)) throw new RangeError('Type a whole number.')
    return spec.type === 'percent' ? Number((figure / 100).toPrecision(12)) : figure
  }
  return spec.type === 'text' && spec.upper ? typed.toUpperCase() : typed
}

interface Draft {
  /** What the form started from: tells what was typed from what was stored. */
  readonly base: Values
  readonly values: Values
}
const draftKey = (id: string): string => `draft:${id}`
const readDraft = (id: string): Draft | null => {
  try {
    const kept = JSON.parse(localStorage.getItem(draftKey(id)) ?? 'null') as Draft | null
    return kept?.base && kept.values ? kept : null
  } catch {
    return null
  }
}
const isSame = (a: Values, b: Values): boolean =>
  Object.keys(b).every((name) => a[name] === b[name])

/**
 * A form over named fields. What is typed is kept as a draft in the browser until it is saved, so a reload or a lost
 * connection loses nothing; faults stand at their fields. When what is stored changes meanwhile, fields nobody touched
 * follow, and a field that both changed is shown side by side to choose from.
 */
export function Form<const F extends readonly FieldSpec[]>({
  id,
  fields,
  initial,
  submit,
  action,
  children,
  columns = 2,
  keepsDraft = true,
}: {
  id: string
  fields: F
  initial: Values
  submit: (values: ValuesOf<F>) => Promise<unknown>
  action: string
  children?: ReactNode
  columns?: 1 | 2 | 3
  /** False for what must not be written down: a passcode. */
  keepsDraft?: boolean
}) {
  const texts = (): Values =>
    Object.fromEntries(fields.map((spec) => [spec.name, toText(spec, initial[spec.name], initial)]))
  const [fault, setFault] = useState('')
  const [clashes, setClashes] = useState<readonly Clash[]>([])
  const stored = texts()
  const base = useRef<Values>(readDraft(id)?.base ?? stored)
  const { register, handleSubmit, watch, getValues, setValue, setError, reset, formState } =
    useForm<Values>({ defaultValues: { ...stored, ...readDraft(id)?.values } })
  useEffect(() => {
    const subscription = watch((values) => {
      if (!keepsDraft || isSame(values, base.current)) localStorage.removeItem(draftKey(id))
      else localStorage.setItem(draftKey(id), JSON.stringify({ base: base.current, values }))
    })
    return () => subscription.unsubscribe()
  }, [watch, id, keepsDraft])
  const storedKey = JSON.stringify(stored)
  useEffect(() => {
    const now = JSON.parse(storedKey) as Values
    const merged = mergeTexts(base.current, getValues(), now)
    base.current = now
    for (const [name, value] of Object.entries(merged.values))
      if (value !== getValues(name)) setValue(name, value)
    setClashes((open) => [
      ...open.filter(({ name }) => !merged.clashes.some((one) => one.name === name)),
      ...merged.clashes,
    ])
  }, [storedKey, getValues, setValue])
  const hasDraft = formState.isDirty || readDraft(id) !== null
  const settle = ({ name, theirs }: Clash, take: boolean): void => {
    if (take) setValue(name, theirs, { shouldDirty: true })
    setClashes((open) => open.filter((one) => one.name !== name))
  }

  const save = handleSubmit(async (typed) => {
    setFault(clashes.length > 0 ? 'Choose yours or theirs for each field above, then save.' : '')
    if (clashes.length > 0) return
    const values: Values = {}
    let wrong = false
    for (const spec of fields) {
      try {
        values[spec.name] = toValue(spec, typed[spec.name], typed)
      } catch (error) {
        wrong = true
        setError(spec.name, { message: (error as Error).message })
      }
    }
    if (wrong) return
    try {
      await submit(values as ValuesOf<F>)
      base.current = typed
      reset(typed)
      // Last: resetting is a change too, and would leave a draft behind.
      localStorage.removeItem(draftKey(id))
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error
      for (const { path, message } of error.errors)
        if (fields.some((spec) => spec.name === path)) setError(path, { message })
      // Newest first: what others saved comes into the form, and the next save starts from it.
      if (error.status === 409) await refresh()
      setFault(error.message)
    }
  })

  return (
    <form onSubmit={save} noValidate className="max-w-4xl">
      <div
        className={`grid gap-x-5 gap-y-3 ${columns === 3 ? 'grid-cols-3' : columns === 2 ? 'grid-cols-2' : 'grid-cols-1'} max-[900px]:grid-cols-1`}
      >
        {fields.map((spec) => (
          <FormField key={spec.name} spec={spec} register={register} errors={formState.errors} />
        ))}
      </div>
      {children}
      <Clashes clashes={clashes} fields={fields} onSettle={settle} />
      {fault && (
        <p role="alert" className="mt-3 border-l-[3px] border-clash pl-2.5">
          {fault}
        </p>
      )}
      <div className="mt-4 flex items-center gap-3">
        <Button type="submit" tone="main" disabled={formState.isSubmitting}>
          {action}
        </Button>
        {hasDraft && keepsDraft && (
          <Button
            tone="quiet"
            onClick={() => {
              reset(stored)
              setClashes([])
              localStorage.removeItem(draftKey(id))
            }}
          >
            Discard what was typed
          </Button>
        )}
      </div>
    </form>
  )
}

/** What two people changed at once, side by side. */
function Clashes({
  clashes,
  fields,
  onSettle,
}: {
  clashes: readonly Clash[]
  fields: readonly FieldSpec[]
  onSettle: (clash: Clash, take: boolean) => void
}) {
  if (clashes.length === 0) return null
  const labelOf = (name: string): string => fields.find((spec) => spec.name === name)?.label ?? name
  const show = (name: string, value: unknown): string => {
    const spec = fields.find((one) => one.name === name)
    if (typeof value === 'boolean') return value ? 'yes' : 'no'
    return spec?.type === 'select'
      ? (spec.options.find((option) => option.value === value)?.words ?? 'Not said')
      : String(value) || 'Nothing'
  }
  return (
    <section
      role="alert"
      aria-label="Changed by two people"
      className="sticky bottom-0 mt-4 max-h-[50vh] overflow-y-auto border border-ink border-l-[3px] border-l-clash bg-ground px-3 py-2"
    >
      <h2 className="font-bold">Somebody else changed this too</h2>
      <p className="mb-1 text-steel">Both are kept until you choose, field by field.</p>
      <table className="w-full">
        <thead>
          <tr className="border-b border-ink">
            <th className="py-1">Field</th>
            <th>Yours, not saved</th>
            <th>Theirs, saved</th>
          </tr>
        </thead>
        <tbody>
          {clashes.map((clash) => (
            <tr key={clash.name} className="border-b border-line align-top">
              <td className="py-1.5 font-semibold">{labelOf(clash.name)}</td>
              {([false, true] as const).map((take) => (
                <td key={String(take)} className="py-1.5 pr-3">
                  <div className="whitespace-pre-wrap break-words">
                    {show(clash.name, take ? clash.theirs : clash.yours)}
                  </div>
                  <Button
                    tone="quiet"
                    aria-label={`${take ? 'Take theirs' : 'Keep yours'}: ${labelOf(clash.name)}`}
                    onClick={() => onSettle(clash, take)}
                  >
                    {take ? 'Take theirs' : 'Keep yours'}
                  </Button>
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
}

function FormField({
  spec,
  register,
  errors,
}: {
  spec: FieldSpec
  register: UseFormRegister<Values>
  errors: FieldErrors<Values>
}) {
  const id = useId()
  const message = errors[spec.name]?.message as string | undefined
  const shared = {
    id,
    'aria-invalid': message !== undefined,
    'aria-describedby': `${id}-help`,
    ...register(spec.name),
  }
  if (spec.type === 'check')
    return (
      <label className="flex items-center gap-2 self-end py-1.5">
        <input
          type="checkbox"
          className="size-4 accent-(--color-accent)"
          {...register(spec.name)}
        />
        {spec.label}
      </label>
    )
  return (
    <div className={spec.wide ? 'col-span-full' : ''}>
      <label htmlFor={id} className="mb-1 block font-semibold">
        {spec.label}
      </label>
      {spec.type === 'select' ? (
        <select {...shared} className={input}>
          {!spec.required && <option value="">Not said</option>}
          {spec.options.map((option) => (
            <option key={option.value} value={option.value}>
              {option.words}
            </option>
          ))}
        </select>
      ) : spec.type === 'area' ? (
        <textarea {...shared} rows={3} className={input} />
      ) : (
        <input
          {...shared}
          type={spec.type === 'date' ? 'date' : spec.type === 'secret' ? 'password' : 'text'}
          inputMode={
            spec.type === 'money' || spec.type === 'number' || spec.type === 'percent'
              ? 'decimal'
              : undefined
          }
          autoComplete="off"
          className={`${input} ${spec.type === 'text' || spec.type === 'secret' ? '' : 'figure text-right'}`}
        />
      )}
      <p
        id={`${id}-help`}
        className={message ? 'mt-1 border-l-[3px] border-clash pl-2' : 'mt-0.5 text-steel'}
      >
        {message ?? spec.hint}
      </p>
    </div>
  )
}
