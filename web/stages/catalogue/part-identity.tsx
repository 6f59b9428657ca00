import type { PartDetail } from '../../../contract/answers/catalogue.ts'
import { CATALOGUE_OPTIONS } from '../../../core/needs/catalogue-kinds.ts'
import { refresh } from '../../api/answer.ts'
import { call } from '../../api/client.ts'
import { Form } from '../../components/form.tsx'

/** What the part is: kind, years, mass, note. */
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
        ]}
        initial={{ name: part.name, kind: part.kind }}
        action="Save"
        submit={async (values) => {
          await call('PATCH /parts/{id}', {
            params: { id: part.id },
            body: {
              version: part.version,
              ...values,
            },
          })
          await refresh()
        }}
      />
    </section>
  )
}
