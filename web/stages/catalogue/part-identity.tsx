import type { PartDetail } from '../../../contract/answers/catalogue.ts'
import { CATALOGUE_OPTIONS } from '../../../core/needs/catalogue-kinds.ts'
import { refresh } from '../../api/answer.ts'
import { call } from '../../api/client.ts'
import { Form } from '../../components/form.tsx'

/** Kinds that numbers are listed for. */
const LISTED_FOR: ReadonlySet<string> = new Set(['vehicle', 'engine', 'transmission'])
const WHAT_IT_IS = [
  {
    name: 'family',
    label: 'Family',
    type: 'text',
    hint: 'As lists of what fits name it: numbers are found by it',
  },
  { name: 'generation', label: 'Generation', type: 'text' },
  { name: 'built', label: 'Built', type: 'text', hint: '1992, 1992-03 or 1992-03-15' },
  { name: 'serial', label: 'Its own number', type: 'text', hint: 'Chassis or engine number' },
] as const

/** What the part is: its name and kind, and what lists know it as. */
export function Identity({ part }: { part: PartDetail }) {
  return (
    <section>
      <h2 className="mb-2 font-bold">What it is</h2>
      <Form
        id={`part-${part.id}`}
        columns={1}
        fields={[
          { name: 'name', label: 'Name', type: 'text', required: true },
          {
            name: 'kind',
            label: 'Kind',
            type: 'select',
            required: true,
            options: CATALOGUE_OPTIONS,
            hint:
              part.kind === 'unsorted'
                ? 'An unsorted part is no candidate until its kind is set'
                : '',
          },
          ...(LISTED_FOR.has(part.kind) ? WHAT_IT_IS : []),
        ]}
        initial={part}
        action="Save"
        submit={async (values) => {
          await call('PATCH /parts/{id}', {
            params: { id: part.id },
            body: {
              version: part.version,
              ...Object.fromEntries(
                Object.entries(values).map(([name, value]) => [name, value === '' ? null : value]),
              ),
            },
          })
          await refresh()
        }}
      />
    </section>
  )
}
