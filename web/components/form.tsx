import { type ReactNode, useEffect, useId, useState } from 'react'
import { type FieldErrors, type UseFormRegister, useForm } from 'react-hook-form'
import { minorDigits, parseMoney } from '../../core/money/money.ts'
import { ApiProblem } from '../api/client.ts'
import { Button } from './ui.tsx'

export type FieldSpec = {
  readonly name: string
  readonly label: string
  readonly hint?: string
  readonly wide?: boolean
} & (
  | { readonly type: 'text' | 'area' | 'date'; readonly required?: boolean; readonly upper?: boolean }
  | { readonly type: 'money'; readonly required?: boolean; readonly currency: string | ((values: Record<string, unknown>) => string) }
  | { readonly type: 'number' | 'percent'; readonly required?: boolean; readonly whole?: boolean }
  | { readonly type: 'select'; readonly options: readonly { readonly value: string; readonly words: string }[]; readonly required?: boolean }
  | { readonly type: 'check' }
)

type Values = Record<string, unknown>

const input = 'w-full rounded border border-steel bg-ground px-2 py-1.5 aria-[invalid=true]:border-clash'

/** How a stored value is shown in its input. */
function toText(spec: FieldSpec, value: unknown, values: Values): unknown {
  if (spec.type === 'check') return value === true
  if (value === null || value === undefined) return ''
  if (spec.type === 'money') return (Number(value) / 10 ** minorDigits(currencyOf(spec, values))).toFixed(minorDigits(currencyOf(spec, values)))
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
    if ('required' in spec && spec.required) throw new RangeError(`Fill in ${spec.label.toLowerCase()}.`)
    return null
  }
  if (spec.type === 'money') return parseMoney(typed, currencyOf(spec, values))
  if (spec.type === 'number' || spec.type === 'percent') {
    const figure = Number(typed.replace(',', '.').replace('%', ''))
    if (!Number.isFinite(figure)) throw new RangeError(`"${typed}" is not a number. Type figures such as ${spec.type === 'percent' ? '21' : '12'}.`)
    if (spec.whole && !Number.isInteger(figure)) throw new RangeError('Type a whole number.')
    return spec.type === 'percent' ? Number((figure / 100).toPrecision(12)) : figure
  }
  return spec.type === 'text' && spec.upper ? typed.toUpperCase() : typed
}

const draftKey = (id: string): string => `draft:${id}`
const readDraft = (id: string): Values | null => {
  try {
    return JSON.parse(localStorage.getItem(draftKey(id)) ?? 'null')
  } catch {
    return null
  }
}

/**
 * A form over named fields. What is typed is kept as a draft in the browser until it is saved, so a reload or a lost
 * connection loses nothing; faults stand at their fields.
 */
export function Form({
  id,
  fields,
  initial,
  submit,
  action,
  children,
  columns = 2,
}: {
  id: string
  fields: readonly FieldSpec[]
  initial: Values
  submit: (values: Values) => Promise<unknown>
  action: string
  children?: ReactNode
  columns?: 1 | 2 | 3
}) {
  const texts = (): Values => Object.fromEntries(fields.map((spec) => [spec.name, toText(spec, initial[spec.name], initial)]))
  const [fault, setFault] = useState('')
  const { register, handleSubmit, watch, setError, reset, formState } = useForm<Values>({ defaultValues: { ...texts(), ...readDraft(id) } })
  useEffect(() => {
    const subscription = watch((values) => localStorage.setItem(draftKey(id), JSON.stringify(values)))
    return () => subscription.unsubscribe()
  }, [watch, id])
  const hasDraft = formState.isDirty || readDraft(id) !== null

  const save = handleSubmit(async (typed) => {
    setFault('')
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
      await submit(values)
      reset(typed)
      // Last: resetting is a change too, and would leave a draft behind.
      localStorage.removeItem(draftKey(id))
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error
      for (const { path, message } of error.errors) if (fields.some((spec) => spec.name === path)) setError(path, { message })
      setFault(error.message)
    }
  })

  return (
    <form onSubmit={save} noValidate className="max-w-4xl">
      <div className={`grid gap-x-5 gap-y-3 ${columns === 3 ? 'grid-cols-3' : columns === 2 ? 'grid-cols-2' : 'grid-cols-1'} max-[900px]:grid-cols-1`}>
        {fields.map((spec) => (
          <FormField key={spec.name} spec={spec} register={register} errors={formState.errors} />
        ))}
      </div>
      {children}
      {fault && (
        <p role="alert" className="mt-3 border-l-[3px] border-clash pl-2.5">
          {fault}
        </p>
      )}
      <div className="mt-4 flex items-center gap-3">
        <Button type="submit" tone="main" disabled={formState.isSubmitting}>
          {action}
        </Button>
        {hasDraft && (
          <Button
            tone="quiet"
            onClick={() => {
              reset(texts())
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

function FormField({ spec, register, errors }: { spec: FieldSpec; register: UseFormRegister<Values>; errors: FieldErrors<Values> }) {
  const id = useId()
  const message = errors[spec.name]?.message as string | undefined
  const shared = { id, 'aria-invalid': message !== undefined, 'aria-describedby': `${id}-help`, ...register(spec.name) }
  if (spec.type === 'check')
    return (
      <label className="flex items-center gap-2 self-end py-1.5">
        <input type="checkbox" className="size-4 accent-(--color-accent)" {...register(spec.name)} />
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
          type={spec.type === 'date' ? 'date' : 'text'}
          inputMode={spec.type === 'money' || spec.type === 'number' || spec.type === 'percent' ? 'decimal' : undefined}
          autoComplete="off"
          className={`${input} ${spec.type === 'text' ? '' : 'figure text-right'}`}
        />
      )}
      <p id={`${id}-help`} className={message ? 'mt-1 border-l-[3px] border-clash pl-2' : 'mt-0.5 text-steel'}>
        {message ?? spec.hint}
      </p>
    </div>
  )
}
