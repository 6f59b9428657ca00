import { useState } from 'react'
import type { HistoryEntry } from '../../contract/answers/shop.ts'
import type { StoredTable } from '../../contract/stored.ts'
import { useAnswer } from '../api/answer.ts'
import { call } from '../api/client.ts'
import { fieldWords, toldFields, valueWords } from '../api/field-words.ts'
import { act } from '../api/hooks.ts'
import { Dialog } from './dialog.tsx'
import { Button, Loaded } from './ui.tsx'

const ACTS: Record<HistoryEntry['act'], string> = {
  insert: 'added',
  update: 'changed',
  remove: 'removed',
  restore: 'put back',
}

/** Opens the history of what a page shows: who changed what, when, from what, to what; each change can be put back. */
export function HistoryButton({
  entity,
  id,
  title,
}: {
  entity?: StoredTable
  id?: string
  title: string
}) {
  const [open, setOpen] = useState(false)
  return (
    <>
      <Button onClick={() => setOpen(true)}>History</Button>
      <Dialog open={open} onOpenChange={setOpen} title={`History: ${title}`} size="wide">
        {open && <HistoryList {...(entity ? { entity } : {})} {...(id ? { id } : {})} />}
      </Dialog>
    </>
  )
}

function HistoryList({ entity, id }: { entity?: StoredTable; id?: string }) {
  const [before, setBefore] = useState<number | null>(null)
  const page = useAnswer('GET /history', { query: { entity, id, before: before ?? undefined } })
  return (
    <Loaded of={page} what="the history">
      {({ items, next }) => (
        <>
          {items.length === 0 && (
            <p className="text-steel">
              Nothing was changed here yet. Every change will stand here, by person and time, and
              can be put back.
            </p>
          )}
          <ol>
            {items.map((entry) => (
              <li
                key={entry.id}
                className="grid grid-cols-[128px_minmax(0,1fr)_auto] gap-x-3 border-b border-line py-1.5"
              >
                <span className="figure text-steel">{timeOf(entry.at)}</span>
                <div className="min-w-0">
                  <b>{entry.who}</b> {ACTS[entry.act]} {fieldWords(entry.entity)}
                  {entry.name ? <i className="not-italic font-semibold"> {entry.name}</i> : null}
                  {entry.act === 'update' && (
                    <ul>
                      {toldFields(entry.after).map((field) => (
                        <li key={field} className="break-words text-steel">
                          {fieldWords(field)}:{' '}
                          <s>{valueWords(field, entry.before?.[field], entry)}</s> to{' '}
                          <span className="text-ink">
                            {valueWords(field, entry.after?.[field], entry)}
                          </span>
                        </li>
                      ))}
                    </ul>
                  )}
                  {entry.entity === 'claim' && entry.act === 'insert' && (
                    <div className="break-words text-steel">
                      {fieldWords(String(entry.after?.field))}:{' '}
                      {valueWords('typed', entry.after?.typed ?? entry.after?.value, entry)},{' '}
                      {String(entry.after?.grade)}
                    </div>
                  )}
                </div>
                <span>
                  {(entry.act === 'update' || entry.act === 'remove') && (
                    <Button
                      tone="quiet"
                      aria-label={`Put back ${fieldWords(entry.entity)} of ${timeOf(entry.at)}`}
                      onClick={() =>
                        void act(
                          () =>
                            call('POST /history/{entry}/restore', {
                              params: { entry: String(entry.id) },
                            }),
                          'Put back as it was then.',
                        )
                      }
                    >
                      Put back
                    </Button>
                  )}
                </span>
              </li>
            ))}
          </ol>
          <p className="mt-3 flex gap-4">
            {before !== null && (
              <Button tone="quiet" onClick={() => setBefore(null)}>
                Newest
              </Button>
            )}
            {next !== null && (
              <Button tone="quiet" onClick={() => setBefore(next)}>
                Earlier
              </Button>
            )}
          </p>
        </>
      )}
    </Loaded>
  )
}

const timeOf = (at: string): string =>
  new Date(at).toLocaleString('sv-SE', { dateStyle: 'short', timeStyle: 'short' })
