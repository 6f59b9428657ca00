import { type FormEvent, type ReactNode, useEffect, useRef, useState } from 'react'
import { type FieldError, type ResolverResult, useForm } from 'react-hook-form'
import { refresh } from '../api/answer.ts'
import { ApiProblem } from '../api/client.ts'
import { Clashes } from './form-clashes.tsx'
import { FormField } from './form-field.tsx'
import { Sections } from './form-sections.tsx'
import { type FieldSpec, toText, toValue, type Values, type ValuesOf } from './form-values.ts'
import { type Clash, mergeTexts } from './merge.ts'
import { Button } from './ui.tsx'

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

/** Fields that are chosen, not typed: left as soon as they are. */
const CHOSEN: ReadonlySet<string> = new Set(['select', 'check', 'part'])

/** How often a save that others' saves overtook is tried again by itself. */
const MOST_REFUSALS = 4

const isSame = (a: Values, b: Values): boolean =>
  Object.keys(b).every((name) => a[name] === b[name])

/** Whether two texts of a field hold the same: `3200` and `3200.00`. */
const isSameValue = (spec: FieldSpec, one: Values, other: Values): boolean => {
  try {
    return toValue(spec, one[spec.name], one) === toValue(spec, other[spec.name], other)
  } catch {
    return false
  }
}

/** What was typed as the values it means, or what is wrong at each field. */
function read(specs: readonly FieldSpec[], typed: Values): ResolverResult<Values> {
  const values: Values = {}
  const errors: Record<string, FieldError> = {}
  for (const spec of specs) {
    try {
      values[spec.name] = toValue(spec, typed[spec.name], typed)
    } catch (error) {
      errors[spec.name] = { type: 'validate', message: (error as Error).message }
    }
  }
  return Object.keys(errors).length > 0 ? { values: {}, errors } : { values, errors: {} }
}

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
  savesWhenLeft = false,
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
  /** Each field is saved as it is left or chosen, where all of its page is; the button stands only while something is not saved. */
  savesWhenLeft?: boolean
}) {
  const texts = (): Values =>
    Object.fromEntries(fields.map((spec) => [spec.name, toText(spec, initial[spec.name], initial)]))
  const [fault, setFault] = useState('')
  const [isSaved, setSaved] = useState(false)
  const [clashes, setClashes] = useState<readonly Clash[]>([])
  const stored = texts()
  const base = useRef<Values>(readDraft(id)?.base ?? stored)
  const specs = useRef<readonly FieldSpec[]>(fields)
  specs.current = fields
  const {
    register,
    control,
    handleSubmit,
    watch,
    getValues,
    setValue,
    setError,
    reset,
    formState,
  } = useForm<Values>({
    defaultValues: { ...stored, ...readDraft(id)?.values },
    resolver: (typed) => read(specs.current, typed),
    // Whoever goes on to the next field is not called back.
    shouldFocusError: !savesWhenLeft,
  })
  const isSaving = useRef(false)
  const refusals = useRef(0)
  const isLeftMeanwhile = useRef(false)
  const leave = useRef<() => void>(() => {})
  const keep = useRef<(values: Values) => void>(() => {})
  keep.current = (values) => {
    if (!keepsDraft || isSame(values, base.current)) localStorage.removeItem(draftKey(id))
    else localStorage.setItem(draftKey(id), JSON.stringify({ base: base.current, values }))
  }
  useEffect(() => {
    const subscription = watch((values, { name }) => {
      const chosen = specs.current.find((spec) => spec.name === name)?.type
      if (savesWhenLeft && CHOSEN.has(chosen ?? '')) setTimeout(() => leave.current())
      keep.current(values)
    })
    return () => subscription.unsubscribe()
  }, [watch, savesWhenLeft])
  const storedKey = JSON.stringify(stored)
  useEffect(() => {
    const now = JSON.parse(storedKey) as Values
    // Written otherwise it is the same: what one saved oneself comes back as it is stored, and is nobody else's change.
    const typed = { ...getValues() }
    for (const spec of specs.current)
      if (isSameValue(spec, typed, now)) typed[spec.name] = now[spec.name]
    const merged = mergeTexts(base.current, typed, now)
    // A field that clashes keeps what it started from: until it is settled, the draft still tells that both changed it.
    const open = merged.clashes.map(({ name }) => [name, base.current[name]])
    base.current = { ...now, ...Object.fromEntries(open) }
    for (const [name, value] of Object.entries(merged.values))
      if (value !== getValues(name)) setValue(name, value)
    setClashes(merged.clashes)
  }, [storedKey, getValues, setValue])
  // Another save starts from what is stored by then: it waits until that is drawn, and clashes with it are known.
  const [turn, setTurn] = useState(0)
  useEffect(() => {
    if (turn > 0) setTimeout(() => leave.current())
  }, [turn])
  const hasDraft = formState.isDirty || readDraft(id) !== null
  const settle = ({ name, theirs }: Clash, take: boolean): void => {
    base.current = { ...base.current, [name]: theirs }
    if (take) setValue(name, theirs, { shouldDirty: true })
    else keep.current(getValues())
    setClashes((open) => open.filter((one) => one.name !== name))
    if (savesWhenLeft) setTimeout(() => leave.current())
  }

  /** What is sent is what stands in the form now: it may be typed on before it is read. */
  const sent = useRef<Values>({})
  const send = handleSubmit(async (typed: Values) => {
    setFault(clashes.length > 0 ? 'Choose yours or theirs for each field above, then save.' : '')
    if (clashes.length > 0) return
    isSaving.current = true
    try {
      await submit(typed as ValuesOf<F>)
      isSaving.current = false
      setSaved(true)
      // As it is stored, where that came back already; what was typed meanwhile is for the next save.
      const shown = { ...getValues() }
      const isTypedOn = specs.current.some((spec) => !isSameValue(spec, shown, sent.current))
      base.current = isTypedOn ? sent.current : shown
      reset(base.current, { keepValues: isTypedOn })
      refusals.current = 0
      if (isLeftMeanwhile.current) setTurn((before) => before + 1)
      if (isTypedOn) return
      // Last: resetting is a change too, and would leave a draft behind.
      localStorage.removeItem(draftKey(id))
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error
      for (const { path, message } of error.errors)
        if (fields.some((spec) => spec.name === path)) setError(path, { message })
      // Newest first: what others saved comes into the form, and the next save starts from it.
      if (error.status === 409) await refresh()
      setFault(error.message)
      // What is newest may have come in before the refusal did.
      if (error.status === 409 && savesWhenLeft && ++refusals.current < MOST_REFUSALS)
        setTurn((before) => before + 1)
    } finally {
      isSaving.current = false
    }
  })
  const save = (event?: FormEvent): void => {
    sent.current = { ...getValues() }
    void send(event)
  }
  leave.current = () => {
    isLeftMeanwhile.current = isSaving.current
    if (savesWhenLeft && !isSaving.current && !isSame(getValues(), base.current)) save()
  }

  return (
    <form
      onSubmit={(event) => {
        event.preventDefault()
        if (!isSaving.current) save(event)
      }}
      onBlur={() => leave.current()}
      noValidate
      className="max-w-4xl"
    >
      <Sections fields={fields} columns={columns}>
        {(spec) => (
          <FormField
            key={spec.name}
            spec={spec}
            register={register}
            control={control}
            errors={formState.errors}
          />
        )}
      </Sections>
      {children}
      <Clashes clashes={clashes} fields={fields} onSettle={settle} />
      {fault && (
        <p role="alert" className="mt-3 border-l-[3px] border-clash pl-2.5">
          {fault}
        </p>
      )}
      <div className="mt-4 flex items-center gap-3">
        {(!savesWhenLeft || hasDraft) && (
          <Button type="submit" tone="main" disabled={formState.isSubmitting}>
            {action}
          </Button>
        )}
        {isSaved && !formState.isDirty && (
          <span role="status" className="text-steel">
            Saved.
          </span>
        )}
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
