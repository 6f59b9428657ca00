import type { PartLine } from '../../../contract/answers/planning.ts'
import { call } from '../../api/client.ts'
import { removeWithUndo, write } from '../../api/hooks.ts'
import { usePerson } from '../../api/person.ts'
import { Form } from '../../components/form.tsx'
import { NumberPath } from '../../components/number-path.tsx'
import { Button, Folded } from '../../components/ui.tsx'
import { NumberSays } from './number-says.tsx'

/** What numbers say of the source a line has, how one comes to it, and what a person settles of it. */
export function NumberOfLine({ build, line }: { build: string; line: PartLine }) {
  const { source } = line
  const given = line.decisions.find(({ act }) => act === 'number')
  const ticked = line.decisions.find(
    ({ act, candidate }) => act === 'tick' && candidate === source?.id,
  )
  const number = source?.number
  return (
    <section aria-label="Number">
      <h3 className="font-bold">Its number</h3>
      {source && number && (
        <>
          <p>
            <NumberSays verdict={number} />
            {number.of && <span className="text-steel"> · wanted: that of {number.of}</span>}
          </p>
          <NumberPath steps={number.steps} />
          {number.missing.length > 0 && <p>Missing: {number.missing.join(', ')}</p>}
          {number.open.length > 0 && <p>Not known yet: {number.open.join(', ')}</p>}
          {number.todo.map((one) => (
            <p key={one}>To do: {one}</p>
          ))}
          {number.cautions.map((one) => (
            <p key={one} className="border-l-[3px] border-rule pl-2.5">
              {one}
            </p>
          ))}
          {ticked ? (
            <p className="flex items-baseline gap-2">
              {ticked.source} says that it serves.
              <Button
                tone="quiet"
                onClick={() =>
                  void removeWithUndo(
                    'DELETE /builds/{id}/decisions/{decision}',
                    { params: { id: build, decision: ticked.id } },
                    'Not confirmed any more.',
                  )
                }
              >
                Take it back
              </Button>
            </p>
          ) : (
            source.tick && <Tick build={build} line={line} candidate={source.id} />
          )}
        </>
      )}
      {given && (
        <p className="flex items-baseline gap-2">
          <span>
            Wanted by hand: <span className="figure">{given.number}</span>
          </span>
          <Button
            tone="quiet"
            onClick={() =>
              void removeWithUndo(
                'DELETE /builds/{id}/decisions/{decision}',
                { params: { id: build, decision: given.id } },
                'The line wants the number of its parts again.',
              )
            }
          >
            Take off
          </Button>
        </p>
      )}
      <Folded words={given ? 'Give it another number' : 'Give it a number of your own'}>
        <Form
          id={`number-wanted-${build}-${line.id}`}
          columns={2}
          fields={[
            { name: 'issuer', label: 'Issuer', type: 'text', required: true },
            { name: 'number', label: 'Number', type: 'text', required: true },
          ]}
          initial={{}}
          action="Want this number"
          submit={(values) =>
            write(() =>
              call('POST /builds/{id}/decisions', {
                params: { id: build },
                body: { needId: line.id, act: 'number', ...values },
              }),
            )
          }
        />
      </Folded>
    </section>
  )
}

/** Somebody says by name that it serves: before that it is not ordered. */
function Tick({ build, line, candidate }: { build: string; line: PartLine; candidate: string }) {
  const person = usePerson()
  return (
    <Form
      id={`tick-${build}-${line.id}`}
      columns={1}
      keepsDraft={false}
      fields={[
        {
          name: 'source',
          label: 'It serves all the same: says who',
          type: 'text',
          required: true,
          hint: 'Its number alone does not say so: it is not ordered before',
        },
      ]}
      initial={{ source: person.name ?? '' }}
      action="Confirm it"
      submit={({ source }) =>
        write(() =>
          call('POST /builds/{id}/decisions', {
            params: { id: build },
            body: { needId: line.id, act: 'tick', candidate, source },
          }),
        )
      }
    />
  )
}
