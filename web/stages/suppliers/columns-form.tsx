import { NEEDED, OFFER_FIELDS, type OfferColumn } from '../../../core/tables/offer-columns.ts'
import { Field, INPUT } from '../../components/fields/field.tsx'
import { optionsOf, Select, YES_NO } from '../../components/fields/select.tsx'

/** Words by column. */
export type Words = Readonly<Partial<Record<OfferColumn, string>>>

const LABELS: Readonly<Record<OfferColumn, string>> = {
  supplier: 'Supplier',
  issuer: 'Whose number it is',
  number: 'Part number',
  description: 'Words',
  price: 'Price',
  currency: 'Currency',
  taxIncluded: 'Tax included',
  pack: 'Pieces in a pack',
  stock: 'In stock',
  leadDays: 'Days to deliver',
  condition: 'Condition',
  standing: 'Standing: announced, trial, shipping, ended',
}

/** Which column of the file holds what, as suggested or chosen, and what counts for all rows where none does. */
export function ColumnsForm({
  heads,
  columns,
  instead,
  suppliers,
  issuers,
  onChange,
}: {
  heads: readonly string[]
  columns: Words
  instead: Words
  suppliers: readonly string[]
  issuers: readonly string[]
  onChange: (columns: Words, instead: Words) => void
}) {
  const options = optionsOf([...new Set(heads.filter((head) => head !== ''))])
  const without = (words: Words, name: OfferColumn): Words =>
    Object.fromEntries(Object.entries(words).filter(([key]) => key !== name))
  const put = (words: Words, name: OfferColumn, value: string): Words =>
    value === '' ? without(words, name) : { ...words, [name]: value }
  const lists: Readonly<Partial<Record<OfferColumn, readonly string[]>>> = {
    supplier: suppliers,
    issuer: issuers,
  }
  return (
    <fieldset className="mt-4">
      <legend className="font-bold">What the columns hold</legend>
      <p className="mb-2 text-steel">
        Suggested by their heads: look them over. What no column says can count for all rows.
      </p>
      <div className="grid grid-cols-2 gap-x-6 gap-y-2 max-[800px]:grid-cols-1">
        {OFFER_FIELDS.map(({ name }) => {
          const isNeeded = NEEDED.includes(name)
          return (
            <div key={name} className="grid grid-cols-2 items-start gap-2">
              <Field label={isNeeded ? LABELS[name] : `${LABELS[name]}, if it is there`}>
                {(shared) => (
                  <Select
                    {...shared}
                    value={columns[name] ?? ''}
                    options={options}
                    nothing="No column"
                    onChange={(head) => onChange(put(columns, name, head), instead)}
                  />
                )}
              </Field>
              {columns[name] === undefined && (
                <Field label="for all rows">
                  {(shared) =>
                    name === 'taxIncluded' ? (
                      <Select
                        {...shared}
                        value={instead[name] ?? ''}
                        options={YES_NO}
                        nothing="Not said"
                        onChange={(value) => onChange(columns, put(instead, name, value))}
                      />
                    ) : lists[name] ? (
                      <Select
                        {...shared}
                        value={instead[name] ?? ''}
                        options={optionsOf(lists[name])}
                        nothing="Not said"
                        onChange={(value) => onChange(columns, put(instead, name, value))}
                      />
                    ) : (
                      <input
                        {...shared}
                        className={INPUT}
                        key={instead[name] ?? ''}
                        defaultValue={instead[name] ?? ''}
                        onBlur={({ target }) =>
                          onChange(columns, put(instead, name, target.value.trim()))
                        }
                      />
                    )
                  }
                </Field>
              )}
            </div>
          )
        })}
      </div>
    </fieldset>
  )
}
