import { Field, INPUT } from '../../components/fields/field.tsx'
import { optionsOf, Select, YES_NO } from '../../components/fields/select.tsx'
import { Folded } from '../../components/ui.tsx'

/** Words by column. */
export type Words = Readonly<Partial<Record<string, string>>>

/** A column that a file may hold. */
export interface WantedField {
  readonly name: string
  readonly label: string
  readonly isNeeded?: boolean | undefined
  /** Words to choose from where no column says it; yes or no. */
  readonly among?: readonly string[] | 'yes or no' | undefined
}

const without = (words: Words, name: string): Words =>
  Object.fromEntries(Object.entries(words).filter(([key]) => key !== name))
const put = (words: Words, name: string, value: string): Words =>
  value === '' ? without(words, name) : { ...words, [name]: value }

/** Which column of the file holds what, as suggested or chosen, and what counts for all rows where none does. */
export function ColumnsForm({
  fields,
  heads,
  columns,
  instead,
  onChange,
}: {
  fields: readonly WantedField[]
  heads: readonly string[]
  columns: Words
  instead: Words
  onChange: (columns: Words, instead: Words) => void
}) {
  const options = optionsOf([...new Set(heads.filter((head) => head !== ''))])
  const isUsed = ({ name, isNeeded }: WantedField): boolean =>
    isNeeded === true || columns[name] !== undefined || instead[name] !== undefined
  const row = (field: WantedField) => (
    <OneColumn
      key={field.name}
      field={field}
      options={options}
      column={columns[field.name]}
      instead={instead[field.name]}
      onColumn={(head) => onChange(put(columns, field.name, head), instead)}
      onInstead={(value) => onChange(columns, put(instead, field.name, value))}
    />
  )
  const others = fields.filter((field) => !isUsed(field))
  return (
    <fieldset className="mt-4 min-w-0">
      <legend className="font-bold">What the columns hold</legend>
      <p className="mb-2 text-steel">
        Suggested by their heads: look them over. What no column says can count for all rows.
      </p>
      <div className={GRID}>{fields.filter(isUsed).map(row)}</div>
      {others.length > 0 && (
        <Folded words={`${others.length} more that a column may hold`}>
          <div className={GRID}>{others.map(row)}</div>
        </Folded>
      )}
    </fieldset>
  )
}
const GRID = 'grid grid-cols-2 gap-x-6 gap-y-2 max-[800px]:grid-cols-1'

function OneColumn({
  field: { label, isNeeded, among },
  options,
  column,
  instead = '',
  onColumn,
  onInstead,
}: {
  field: WantedField
  options: ReturnType<typeof optionsOf>
  column: string | undefined
  instead?: string | undefined
  onColumn: (head: string) => void
  onInstead: (value: string) => void
}) {
  return (
    <div className="grid grid-cols-2 items-start gap-2">
      <Field label={isNeeded ? label : `${label}, if it is there`}>
        {(shared) => (
          <Select
            {...shared}
            value={column ?? ''}
            options={options}
            nothing="No column"
            onChange={onColumn}
          />
        )}
      </Field>
      {column === undefined && (
        <Field label="for all rows">
          {(shared) =>
            among ? (
              <Select
                {...shared}
                value={instead}
                options={among === 'yes or no' ? YES_NO : optionsOf(among)}
                nothing="Not said"
                onChange={onInstead}
              />
            ) : (
              <input
                {...shared}
                className={INPUT}
                key={instead}
                defaultValue={instead}
                onBlur={({ target }) => {
                  if (target.value.trim() !== instead) onInstead(target.value.trim())
                }}
              />
            )
          }
        </Field>
      )}
    </div>
  )
}
