import { useAnswer } from '../../api/answer.ts'
import { call } from '../../api/client.ts'
import { act, removeWithUndo, write } from '../../api/hooks.ts'
import { setPerson, usePerson } from '../../api/person.ts'
import { Select } from '../../components/fields/select.tsx'
import { Form } from '../../components/form.tsx'
import { Row, Rows } from '../../components/rows.tsx'
import { Button, Folded } from '../../components/ui.tsx'

const DECIMALS = [
  { value: 'ask', words: 'Ask when it can mean two things' },
  { value: 'point', words: '1,500 is one thousand five hundred' },
  { value: 'comma', words: '1,500 is one and a half' },
] as const

/** Who works here, and what a comma means to each. */
export function People() {
  const people = useAnswer('GET /people')
  const here = usePerson()
  return (
    <section>
      <h2 className="font-bold">People</h2>
      <p className="mb-1 text-steel">
        A name, no login: measurements and changes carry it. What a comma means goes by person.
      </p>
      {people.data?.items.length === 0 && <p>Nobody is named yet. Changes are signed "bench".</p>}
      <Rows label="People">
        {people.data?.items.map((person) => (
          <Row
            key={person.id}
            end={
              <>
                {here.id === person.id ? (
                  <span className="text-steel">at this bench</span>
                ) : (
                  <Button tone="quiet" onClick={() => setPerson(person)}>
                    I am {person.name}
                  </Button>
                )}{' '}
                <Button
                  tone="quiet"
                  aria-label={`Remove ${person.name}`}
                  onClick={() =>
                    void removeWithUndo(
                      'DELETE /people/{id}',
                      { params: { id: person.id } },
                      `${person.name} is in the trash; what they did keeps their name.`,
                    )
                  }
                >
                  Remove
                </Button>
              </>
            }
          >
            <b>{person.name}</b>
            <Select
              aria-label={`What a comma means to ${person.name}`}
              value={person.decimal}
              options={DECIMALS}
              isNarrow
              onChange={(decimal) =>
                void act(async () => {
                  const changed = await call('PATCH /people/{id}', {
                    params: { id: person.id },
                    body: {
                      version: person.version,
                      decimal,
                    },
                  })
                  if (here.id === person.id) setPerson(changed)
                }, `Saved for ${person.name}.`)
              }
            />
          </Row>
        ))}
      </Rows>
      <Folded words="Add a person">
        <Form
          id="new-person"
          fields={[
            { name: 'name', label: 'Name', type: 'text', required: true },
            {
              name: 'decimal',
              label: 'A comma in a figure',
              type: 'select',
              required: true,
              options: DECIMALS,
            },
          ]}
          initial={{ decimal: 'ask' }}
          action="Add person"
          submit={(values) => write(() => call('POST /people', { body: values }))}
        />
      </Folded>
    </section>
  )
}
