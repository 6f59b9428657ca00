import { useState } from 'react'
import type { AsideView } from '../../../contract/answers/shop.ts'
import { useAnswer } from '../../api/answer.ts'
import { call } from '../../api/client.ts'
import { fieldWords } from '../../api/field-words.ts'
import { act, removeWithUndo } from '../../api/hooks.ts'
import { Button } from '../../components/ui.tsx'

/** Rows that cannot be read: what is wrong with each, and ways to mend it, put it back as it was, or take it away. */
export function SetAside() {
  const rows = useAnswer('GET /set-aside').data?.items ?? []
  if (rows.length === 0) return null
  const own = rows.filter((row) => row.because === null)
  return (
    <section aria-label="Set aside">
      <h2 className="font-bold">Set aside</h2>
      <p className="mb-1 text-steel">
        These cannot be read as what they should be. They stand as they are and are used by nothing
        until they are mended.
      </p>
      {own.map((row) => (
        <AsideCard
          key={`${row.table}/${row.id}`}
          row={row}
          waiting={rows.filter((one) => one.because === `${row.table}:${row.id}`).length}
        />
      ))}
    </section>
  )
}

const tableWords = (table: string): string =>
  table.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`)

function AsideCard({ row, waiting }: { row: AsideView; waiting: number }) {
  const [typed, setTyped] = useState<Record<string, string>>({})
  const params = { table: row.table, id: row.id }
  const mend = (): void =>
    void act(
      () =>
        call('PATCH /set-aside/{table}/{id}', {
          params,
          body: { version: row.version, fields: typed },
        }),
      `${row.name} is mended.`,
    )
  return (
    <article className="border-b border-line py-2">
      <p>
        <b>{row.name}</b> <span className="text-steel">{tableWords(row.table)}</span>
        {waiting > 0 && <span className="text-steel"> · {waiting} more wait for it</span>}
      </p>
      <ul className="mb-1">
        {row.faults.slice(0, 5).map((fault) => (
          <li key={`${fault.field}${fault.message}`}>
            <b>{fieldWords(fault.field)}</b>: {fault.message}
          </li>
        ))}
      </ul>
      <form
        className="flex flex-wrap items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault()
          mend()
        }}
      >
        {Object.entries(row.values)
          .filter(([field]) => field !== 'id' && field !== 'row')
          .map(([field, value]) => (
            <label key={field} className="flex flex-col">
              <span className="text-steel">{fieldWords(field)}</span>
              <input
                value={typed[field] ?? value}
                onChange={(event) => setTyped({ ...typed, [field]: event.target.value })}
                className="figure w-56 rounded border border-steel bg-ground px-2 py-1"
              />
            </label>
          ))}
        <Button type="submit" disabled={Object.keys(typed).length === 0}>
          Mend
        </Button>
        {row.hasEarlier && (
          <Button
            onClick={() =>
              void act(
                () =>
                  call('POST /set-aside/{table}/{id}/put-back', {
                    params,
                    body: { version: row.version },
                  }),
                `${row.name} is as it was before.`,
              )
            }
          >
            As it was before
          </Button>
        )}
        <Button
          tone="quiet"
          aria-label={`Move ${row.name} to the trash`}
          onClick={() =>
            void removeWithUndo(
              'DELETE /set-aside/{table}/{id}',
              { params },
              `${row.name} is in the trash.`,
            )
          }
        >
          To the trash
        </Button>
      </form>
    </article>
  )
}
