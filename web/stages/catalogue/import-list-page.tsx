import { useRef, useState } from 'react'
import { useParams } from 'react-router'
import type { ListPreview } from '../../../contract/answers/catalogue.ts'
import type { Decimal } from '../../../core/quantity/units.ts'
import { LIST_KINDS, LISTS, type ListKind } from '../../../core/tables/lists.ts'
import type { DateOrder } from '../../../core/tables/read-day.ts'
import { refresh } from '../../api/answer.ts'
import { ApiProblem, call } from '../../api/client.ts'
import { undoNewest } from '../../api/undo.ts'
import { INPUT } from '../../components/fields/field.tsx'
import { Radios } from '../../components/fields/radios.tsx'
import { Button, ButtonLink, Empty, PageHead } from '../../components/ui.tsx'
import { ColumnsForm, type Words } from '../suppliers/columns-form.tsx'
import { FilePicker, NothingWrong, WhichList } from '../suppliers/list-parts.tsx'

const DATES: readonly { readonly value: DateOrder; readonly words: string }[] = [
  { value: 'ask', words: 'ask when a date can be read two ways' },
  { value: 'dmy', words: '14/3/2026' },
  { value: 'mdy', words: '3/14/2026' },
]
const DECIMALS: readonly { readonly value: Decimal; readonly words: string }[] = [
  { value: 'ask', words: 'ask when an amount can be read two ways' },
  { value: 'comma', words: '286,50' },
  { value: 'point', words: '1,286.50' },
]
/** Lists in which there are dates, and amounts. */
const DATED: ReadonlySet<ListKind> = new Set([
  'numbers',
  'supersessions',
  'interchange',
  'applications',
])
const PRICED: ReadonlySet<ListKind> = new Set(['suppliers', 'kits'])

interface Source {
  readonly text: string
  readonly file: File | null
}
interface How {
  readonly columns: Words | null
  readonly instead: Words
  readonly dates: DateOrder
  readonly decimal: Decimal
}
const UNREAD: How = { columns: null, instead: {}, dates: 'ask', decimal: 'ask' }

/** A list of parts, numbers, supersessions, interchange, applications, suppliers or kits: columns matched, a preview, then all or nothing. */
export function Component() {
  const { kind = '' } = useParams()
  const known = LIST_KINDS.find((one) => one === kind)
  return known ? (
    <ImportList key={known} kind={known} />
  ) : (
    <Empty action={<ButtonLink to="/catalogue">Catalogue</ButtonLink>}>
      There is no list called &ldquo;{kind}&rdquo; here.
    </Empty>
  )
}

function ImportList({ kind }: { kind: ListKind }) {
  const [source, setSource] = useState<Source>({ text: '', file: null })
  const [how, setHow] = useState<How>(UNREAD)
  const [preview, setPreview] = useState<ListPreview | null>(null)
  const newest = useRef(0)
  const [said, setSaid] = useState('')
  const [done, setDone] = useState('')
  const { words, says, fields } = LISTS[kind]
  const query = ({ columns, instead, dates, decimal }: How) => ({
    kind,
    dates,
    decimal,
    columns: columns === null ? undefined : JSON.stringify(columns),
    instead: JSON.stringify(instead),
  })
  const bodyOf = ({ text, file }: Source): Blob | null =>
    file ?? (text.trim() === '' ? null : new Blob([text]))
  const run = async (work: () => Promise<void>): Promise<void> => {
    setSaid('')
    try {
      await work()
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error
      setSaid(error.message)
    }
  }
  const show = (next: Source, by: How): Promise<void> =>
    run(async () => {
      setDone('')
      setSource(next)
      setHow(by)
      const body = bodyOf(next)
      const turn = ++newest.current
      const found = body ? await call('POST /lists/preview', { query: query(by), body }) : null
      // What was asked before may be answered after.
      if (turn === newest.current) setPreview(found)
    })
  const take = (): Promise<void> =>
    run(async () => {
      const body = bodyOf(source)
      if (!body || !preview) return
      const { added, updated } = await call('POST /lists/import', {
        query: query({ ...how, columns: preview.columns }),
        body,
      })
      await refresh()
      setSource({ text: '', file: null })
      setHow(UNREAD)
      setPreview(null)
      setDone(`Imported: ${added} added, ${updated} updated.`)
    })
  return (
    <>
      <PageHead title={`Import: ${words.toLowerCase()}`} detail={says}>
        <a
          href={`/api/lists/sample.csv?list=${kind}`}
          className="text-accent underline underline-offset-2"
        >
          A sample to begin from
        </a>
        <a
          href={`/api/lists/all.csv?list=${kind}`}
          className="text-accent underline underline-offset-2"
        >
          All there are, CSV
        </a>
        <a
          href={`/api/lists/all.xlsx?list=${kind}`}
          className="text-accent underline underline-offset-2"
        >
          XLSX
        </a>
      </PageHead>
      <div className="max-w-4xl px-4 pb-12">
        <WhichList kind={kind} />
        <FilePicker onPick={(file) => void show({ text: '', file }, UNREAD)} />
        <span className="ml-3 text-steel">{source.file?.name}</span>
        {DATED.has(kind) && (
          <div className="mt-3">
            <span className="font-semibold">Dates with strokes in this file</span>
            <Radios
              label="Dates with strokes in this file"
              value={how.dates}
              options={DATES}
              onChange={(dates) => void show(source, { ...how, dates })}
            />
          </div>
        )}
        {PRICED.has(kind) && (
          <div className="mt-3">
            <span className="font-semibold">A comma in this file's amounts</span>
            <Radios
              label="A comma in this file's amounts"
              value={how.decimal}
              options={DECIMALS}
              onChange={(decimal) => void show(source, { ...how, decimal })}
            />
          </div>
        )}
        <label className="mt-4 block">
          <span className="mb-1 block font-semibold">or paste it here</span>
          <textarea
            value={source.text}
            onChange={(event) => void show({ text: event.target.value, file: null }, how)}
            rows={7}
            className={`${INPUT} figure`}
          />
        </label>
        {said && (
          <p role="alert" className="my-3 border-l-[3px] border-clash pl-2.5">
            {said}
          </p>
        )}
        {done && (
          <p role="status" className="my-3">
            {done}{' '}
            <Button tone="quiet" onClick={() => void undoNewest().then(() => setDone(''))}>
              Undo this import
            </Button>
          </p>
        )}
        {preview && preview.heads.length > 0 && (
          <ColumnsForm
            fields={fields}
            heads={preview.heads}
            // What was just chosen, before it is answered.
            columns={how.columns ?? preview.columns}
            instead={how.instead}
            onChange={(columns, instead) => void show(source, { ...how, columns, instead })}
          />
        )}
        {preview && (
          <section aria-label="Preview" className="mt-4">
            <p className="mb-2">
              <b>{preview.added} to add</b>, {preview.updated} to update, {preview.unchanged} as
              they are.
            </p>
            {preview.notes.map((note) => (
              <p key={note} className="mb-2 border-l-[3px] border-work pl-2.5">
                {note}
              </p>
            ))}
            <NothingWrong preview={preview} onImport={() => void take()} />
          </section>
        )}
      </div>
    </>
  )
}
