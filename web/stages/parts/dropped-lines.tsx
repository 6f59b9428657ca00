import type { PartLine, PartsList } from '../../../contract/answers/planning.ts'
import { call } from '../../api/client.ts'
import { act, removeWithUndo } from '../../api/hooks.ts'
import { Button } from '../../components/ui.tsx'

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
      {list.dropped.map((line) => (
        <p key={line.id} className="flex items-center gap-3 border-b border-line py-1">
          {line.words}
          <span className="text-steel">{line.why[0]?.words}</span>
          <span className="ml-auto">
            <Button
              tone="quiet"
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
          </span>
        </p>
      ))}
    </section>
  )
}
