import { useState } from 'react'
import { toast } from 'sonner'
import { useAnswer } from '../../api/answer.ts'
import { call } from '../../api/client.ts'
import { act } from '../../api/hooks.ts'
import { Row, Rows } from '../../components/rows.tsx'
import { Button } from '../../components/ui.tsx'

const WHY = {
  day: 'first start of the day',
  asked: 'asked for',
  'before-restore': 'before a restore',
}

/** Copies of the data, and putting one back. */
export function Backups() {
  const backups = useAnswer('GET /backups')
  const [asking, setAsking] = useState<string | null>(null)
  const restore = (name: string): Promise<unknown> =>
    act(async () => {
      const { kept, changesMeanwhile } = await call('POST /backups/{name}/restore', {
        params: { name },
      })
      setAsking(null)
      toast(
        `Restored. What was here before is kept as ${kept}${changesMeanwhile > 0 ? `, with the ${changesMeanwhile} ${changesMeanwhile === 1 ? 'change' : 'changes'} made while the backup was checked` : ''}.`,
        {
          duration: 20_000,
        },
      )
    })
  return (
    <section>
      <h2 className="font-bold">Backups</h2>
      <p className="mb-2 text-steel">
        One is made on the first start of each day, beside the data. Copy one to another disk now
        and then.
      </p>
      <Button onClick={() => void act(() => call('POST /backups'), 'Backed up.')}>
        Back up now
      </Button>
      <div className="mt-2">
        <Rows label="Backups">
          {backups.data?.items.map((backup) => (
            <Row
              key={backup.name}
              end={
                <Button
                  tone="quiet"
                  aria-label={`Restore the backup of ${new Date(backup.at).toLocaleString('sv-SE')}`}
                  onClick={() => setAsking(backup.name)}
                >
                  Restore
                </Button>
              }
              below={
                asking === backup.name && (
                  <div className="my-2 border-l-[3px] border-rule pl-2.5">
                    Everything goes back to what it was then, for everybody. What is here now is
                    backed up first, so this can be taken back too.{' '}
                    <Button tone="main" className="ml-2" onClick={() => void restore(backup.name)}>
                      Restore this backup
                    </Button>{' '}
                    <Button tone="quiet" onClick={() => setAsking(null)}>
                      Leave it
                    </Button>
                  </div>
                )
              }
            >
              <span className="figure">{new Date(backup.at).toLocaleString('sv-SE')}</span>
              <span className="text-steel">
                {WHY[backup.why]} ·{' '}
                <span className="figure">{Math.max(1, Math.round(backup.bytes / 1024))} kB</span>
              </span>
            </Row>
          ))}
        </Rows>
      </div>
      {backups.data?.items.length === 0 && <p className="mt-2">None yet.</p>}
    </section>
  )
}
