import { useAnswer } from '../../api/answer.ts'
import { call } from '../../api/client.ts'
import { act } from '../../api/hooks.ts'
import { Row, Rows } from '../../components/rows.tsx'
import { Button } from '../../components/ui.tsx'

/** What was removed and can be put back. */
export function Trash() {
  const trash = useAnswer('GET /trash')
  return (
    <section>
      <h2 className="font-bold">Trash</h2>
      {trash.data?.items.length === 0 && (
        <p className="text-steel">
          Nothing was removed. What is removed waits here and can be put back.
        </p>
      )}
      <Rows label="Trash">
        {trash.data?.items.map((one) => (
          <Row
            key={one.id}
            end={
              <Button
                tone="quiet"
                aria-label={`Put back ${one.name}`}
                onClick={() =>
                  void act(
                    () => call('POST /trash/{id}/restore', { params: { id: one.id } }),
                    `${one.name} is back.`,
                  )
                }
              >
                Put back
              </Button>
            }
          >
            <b className="truncate">{one.name}</b>
            <span className="text-steel">
              {one.entity.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`)}
              {one.rows > 1 ? ` and ${one.rows - 1} that came with it` : ''} ·{' '}
              {new Date(one.at).toLocaleString('sv-SE', { dateStyle: 'short', timeStyle: 'short' })}
            </span>
          </Row>
        ))}
      </Rows>
    </section>
  )
}
