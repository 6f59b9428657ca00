import type { PartLine, PartsList } from '../../../contract/answers/planning.ts'
import { call } from '../../api/client.ts'
import { act, removeWithUndo } from '../../api/hooks.ts'
import { Row, Rows } from '../../components/rows.tsx'
import { Button, ButtonLink, Folded } from '../../components/ui.tsx'

export async function dropLine(build: string, line: PartLine): Promise<void> {
  let decision = ''
  await act(
    async () => {
      decision = (
        await call('POST /builds/{id}/decisions', {
          params: { id: build },
          body: {
            needId: line.id,
            act: 'drop',
          },
        })
      ).id
    },
    `${line.words} is dropped. It stays so when the list is made anew.`,
    () => call('DELETE /builds/{id}/decisions/{decision}', { params: { id: build, decision } }),
  )
}

/** Lines somebody dropped, each to be put back. */
export function Dropped({ build, list }: { build: string; list: PartsList }) {
  if (list.dropped.length === 0) return null
  return (
    <section className="px-4 py-3">
      <h2 className="font-bold">Dropped by you</h2>
      <Rows label="Dropped lines">
        {list.dropped.map((line) => (
          <Row
            key={line.id}
            end={
              <Button
                tone="quiet"
                aria-label={`Put back ${line.words}`}
                onClick={() =>
                  void removeWithUndo(
                    'DELETE /builds/{id}/decisions/{decision}',
                    { params: { id: build, decision: line.decisionId } },
                    `${line.words} is back on the list.`,
                  )
                }
              >
                Put back
              </Button>
            }
          >
            {line.words}
            <span className="text-steel">{line.why[0]?.words}</span>
          </Row>
        ))}
      </Rows>
    </section>
  )
}

/** Lines that an assumption leaves out, under one press: what they hang on is asked on Known. */
export function LeftOut({ build, list }: { build: string; list: PartsList }) {
  if (list.folded.length === 0) return null
  return (
    <section className="px-4 pb-6">
      <Folded words={`${list.folded.length} lines left out because a type says so`}>
        <p className="mb-1">
          <ButtonLink to={`/builds/${build}/known`}>Ask what they hang on</ButtonLink>
        </p>
        <Rows label="Left out by assumption">
          {list.folded.map((line) => (
            <Row key={line.id}>
              {line.words}
              <span className="text-steel">{line.hangs.join(' ')}</span>
            </Row>
          ))}
        </Rows>
      </Folded>
    </section>
  )
}
