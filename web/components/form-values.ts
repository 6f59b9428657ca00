import { minorDigits, parseMoney } from '../../core/money/money.ts'
import { askWhereDoubtful } from '../../core/quantity/units.ts'
import { personNow } from '../api/person.ts'

/** A field of a form. */
export type FieldSpec = {
  readonly name: string
  readonly label: string
  readonly hint?: string
  readonly wide?: boolean
  /** Under which head it stands, where a form has several. */
  readonly section?: string
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
  /** A part of the catalogue, by its id. */
  | { readonly type: 'part'; readonly kind: string; readonly required?: boolean }
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

/** What a form holds, by field. */
export type Values = Record<string, unknown>

/** How a stored value is shown in its input. */
export function toText(spec: FieldSpec, value: unknown, values: Values): unknown {
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
export function toValue(spec: FieldSpec, text: unknown, values: Values): unknown {
  if (spec.type === 'check') return text === true
  const typed = String(text ?? '').trim()
  if (typed === '') {
    if ('required' in spec && spec.required)
      throw new RangeError(`Fill in ${spec.label.toLowerCase()}.`)
    return null
  }
  const { decimal } = personNow()
  if (spec.type === 'money') return parseMoney(typed, currencyOf(spec, values), decimal)
  if (spec.type === 'number' || spec.type === 'percent') {
    askWhereDoubtful(typed, decimal)
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
