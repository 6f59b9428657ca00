import { useParams } from 'react-router'
import type { ListPreview } from '../../../contract/answers/catalogue.ts'
import type { Decimal } from '../../../core/quantity/units.ts'
import { LIST_KINDS, LISTS, type ListKind } from '../../../core/tables/lists.ts'
import type { DateOrder } from '../../../core/tables/read-day.ts'
import { useAnswer } from '../../api/answer.ts'
import { call } from '../../api/client.ts'
import { ButtonLink, Empty } from '../../components/ui.tsx'
import { Asked, ImportFrame } from './import-frame.tsx'
import { type HowRead, useImport } from './use-import.ts'

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

interface How extends HowRead {
  readonly dates: DateOrder
  readonly decimal: Decimal
}
const UNREAD: How = { columns: null, instead: {}, dates: 'ask', decimal: 'ask' }

/** A list is known again by its heads, whatever their order. */
const nameOf = (heads: readonly string[]): string => [...heads].sort().join('\t').slice(0, 4000)

/** How a list was read, as it is kept, and back; what is kept of an older version and cannot be read is as nothing. */
const keptOf = ({ columns, instead, dates, decimal }: How): Record<string, string> => ({
  columns: JSON.stringify(columns ?? {}),
  instead: JSON.stringify(instead),
  dates,
  decimal,
})
function readKept({ columns, instead, dates, decimal }: Record<string, string>): How | null {
  try {
    return {
      columns: JSON.parse(columns ?? ''),
      instead: JSON.parse(instead ?? ''),
      dates: DATES.find(({ value }) => value === dates)?.value ?? 'ask',
      decimal: DECIMALS.find(({ value }) => value === decimal)?.value ?? 'ask',
    }
  } catch {
    return null
  }
}

/** A list of parts, numbers, supersessions, interchange, applications, suppliers or kits. */
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
  const { words, says, fields } = LISTS[kind]
  const kept = useAnswer('GET /kept', { query: { what: kind } }).data?.items ?? []
  const query = ({ columns, instead, dates, decimal }: How) => ({
    kind,
    dates,
    decimal,
    columns: columns === null ? undefined : JSON.stringify(columns),
    instead: JSON.stringify(instead),
  })
  const importing = useImport<How, ListPreview>({
    unread: UNREAD,
    look: (body, how) => call('POST /lists/preview', { query: query(how), body }),
    take: async (body, how) => {
      // First, so that what is undone is the import.
      const name = nameOf(importing.preview?.heads ?? [])
      if (name !== '') await call('POST /kept', { body: { what: kind, name, value: keptOf(how) } })
      await call('POST /lists/import', { query: query(how), body })
    },
    known: (heads) => {
      const held = kept.find(({ name }) => name === nameOf(heads))
      return held ? readKept(held.value) : null
    },
  })
  const { how, preview, change } = importing
  const link = (address: string, text: string) => (
    <a
      href={`/api/lists/${address}?list=${kind}`}
      className="text-accent underline underline-offset-2"
    >
      {text}
    </a>
  )
  return (
    <ImportFrame
      kind={kind}
      title={`Import: ${words.toLowerCase()}`}
      detail={says}
      links={
        <>
          {link('sample.csv', 'A sample to begin from')}
          {link('all.csv', 'All there are, CSV')}
          {link('all.xlsx', 'XLSX')}
        </>
      }
      options={
        <>
          {DATED.has(kind) && (
            <Asked
              words="Dates with strokes in this file"
              value={how.dates}
              options={DATES}
              onChange={(dates) => change({ dates })}
            />
          )}
          {PRICED.has(kind) && (
            <Asked
              words="A comma in this file's amounts"
              value={how.decimal}
              options={DECIMALS}
              onChange={(decimal) => change({ decimal })}
            />
          )}
        </>
      }
      fields={fields}
      importing={importing}
      next={
        kind === 'parts' && (
          <ButtonLink to="/catalogue?kind=unsorted">Set the kinds of those without one</ButtonLink>
        )
      }
    >
      {preview && {
        head: (
          <p className="mb-2">
            <b>{preview.added} to add</b>, {preview.updated} to update, {preview.unchanged} as they
            are.
          </p>
        ),
      }}
    </ImportFrame>
  )
}
