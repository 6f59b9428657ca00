import { useState } from 'react'
import { minorDigits, parseMoney } from '../../../core/money/money.ts'
import { fieldsOf, isPortKind } from '../../../core/ports/index.ts'
import { parseFields } from '../../../core/ports/parse.ts'
import type { Reading } from '../../../core/quantity/units.ts'
import { Field, INPUT } from '../../components/fields/field.tsx'

/** What was typed into a field that narrows, as it stands in the address. @throws Error saying what cannot be read */
export function readNarrow(
  name: 'sizeFrom' | 'sizeTo' | 'fits' | 'priceTo',
  typed: string,
  {
    size,
    currency,
    reading,
  }: { readonly size: string; readonly currency: string; readonly reading: Reading },
): string {
  const text = typed.trim()
  if (text === '' || name === 'fits') return text
  if (name === 'priceTo') {
    const minor = parseMoney(text, currency, reading.decimal)
    if (minor < 0) throw new RangeError('A price is not less than nothing.')
    return String(minor / 10 ** minorDigits(currency))
  }
  const [port = '', field = ''] = size.split('.')
  if (!isPortKind(port)) throw new RangeError('Choose first what the size is of.')
  const value = parseFields(fieldsOf(port), field, text, reading)[field]
  return String(value)
}

/** One field that narrows a list: taken when it is left or by Enter; what cannot be read is told beside it. */
export function NarrowField({
  label,
  hint,
  value,
  isText,
  read,
  onChange,
}: {
  label: string
  hint?: string
  value: string
  isText?: boolean
  read: (typed: string) => string
  onChange: (value: string) => void
}) {
  const [fault, setFault] = useState('')
  const take = (typed: string): void => {
    try {
      const next = read(typed)
      setFault('')
      if (next !== value) onChange(next)
    } catch (error) {
      setFault((error as Error).message)
    }
  }
  return (
    <Field label={label} {...(hint ? { hint } : {})} {...(fault ? { fault } : {})}>
      {(shared) => (
        <input
          {...shared}
          key={value}
          className={INPUT}
          inputMode={isText ? 'text' : 'decimal'}
          defaultValue={value}
          onBlur={({ target }) => take(target.value)}
          onKeyDown={({ key, currentTarget }) => key === 'Enter' && take(currentTarget.value)}
        />
      )}
    </Field>
  )
}
