import type { PartDetail } from '../../../contract/answers/catalogue.ts'
import { call } from '../../api/client.ts'
import { write } from '../../api/hooks.ts'
import { Form } from '../../components/form.tsx'
import { Row, Rows } from '../../components/rows.tsx'
import { Folded } from '../../components/ui.tsx'

/** Numbers of the part, and what superseded what. */
export function Numbers({ part }: { part: PartDetail }) {
  return (
    <section>
      <h2 className="mb-1 font-bold">Part numbers</h2>
      <Rows label="Part numbers">
        {part.numbers.map((one) => (
          <Row key={one.id}>
            <span className="figure">
              {one.issuer} {one.number}
            </span>
          </Row>
        ))}
        {part.supersessions.map((one) => (
          <Row key={one.id}>
            <span>
              <span className="figure">
                {one.issuer} {one.oldNumber}
              </span>{' '}
              replaced by <span className="figure">{one.newNumber}</span>
              {one.oneWay ? '; the old no longer serves for the new' : ''}
            </span>
          </Row>
        ))}
      </Rows>
      <Folded words="Add a number">
        <Form
          id={`number-${part.id}`}
          columns={1}
          fields={[
            { name: 'issuer', label: 'Issuer', type: 'text', required: true },
            { name: 'number', label: 'Number', type: 'text', required: true },
          ]}
          initial={{}}
          action="Add number"
          submit={(values) =>
            write(() => call('POST /parts/{id}/numbers', { params: { id: part.id }, body: values }))
          }
        />
      </Folded>
      <Folded words="Add a supersession">
        <Form
          id={`supersession-${part.id}`}
          columns={1}
          fields={[
            { name: 'issuer', label: 'Issuer', type: 'text', required: true },
            { name: 'old', label: 'Old number', type: 'text', required: true },
            { name: 'new', label: 'New number', type: 'text', required: true },
            { name: 'oneWay', label: 'One way: the old no longer serves', type: 'check' },
          ]}
          initial={{}}
          action="Add supersession"
          submit={(values) =>
            write(() =>
              call('POST /parts/{id}/supersessions', { params: { id: part.id }, body: values }),
            )
          }
        />
      </Folded>
    </section>
  )
}
