import { useMemo, useState } from 'react'
import { Link } from 'react-router'
import type { Answer } from '../../../contract/asked.ts'
import { minorDigits } from '../../../core/money/money.ts'
import { CATALOGUE_OPTIONS } from '../../../core/needs/catalogue-kinds.ts'
import { LINE_PLACES } from '../../../core/needs/line.ts'
import { kindWords } from '../../../core/ports/part-kinds.ts'
import { GRADES } from '../../../core/quantity/grade.ts'
import { useAnswer } from '../../api/answer.ts'
import { Behind } from '../../components/behind.tsx'
import { Select } from '../../components/fields/select.tsx'
import { LIKE } from '../../components/likes.tsx'
import type { Column } from '../../components/table/column.ts'
import { DataTable } from '../../components/table/data-table.tsx'
import { Button, ButtonLink, Empty, Loaded } from '../../components/ui.tsx'
import { useAddress } from '../../components/use-address.ts'
import { Marked } from './marked.tsx'
import { NARROWS, Narrow, type Narrowed } from './narrow.tsx'

type PartRow = Answer<'GET /parts'>['items'][number]

const COLUMNS: readonly Column<PartRow>[] = [
  {
    id: 'name',
    head: 'Part',
    isFixed: true,
    value: (part) => part.name,
    cell: (part) => (
      <Link
        to={`/catalogue/parts/${encodeURIComponent(part.id)}`}
        className="font-semibold text-accent underline underline-offset-2"
      >
        {part.name}
      </Link>
    ),
  },
  {
    id: 'kind',
    head: 'Kind',
    value: (part) => kindWords(part.kind),
    cell: ({ kind, suggested }) =>
      suggested === null ? (
        kindWords(kind)
      ) : (
        <>
          {kindWords(kind)}; {kindWords(suggested.kind).toLowerCase()}
          {suggested.family && ` of ${suggested.family}`}?{' '}
          <span className="text-steel">{suggested.because}</span>
        </>
      ),
  },
  {
    id: 'years',
    head: 'Years',
    className: 'figure',
    value: (part) => [part.fromYear, part.toYear].filter(Boolean).join('–') || null,
  },
  {
    id: 'mass',
    head: 'Mass, kg',
    align: 'right',
    isAside: true,
    value: (part) => (part.massG === null ? null : part.massG / 1000),
  },
  {
    id: 'numbers',
    head: 'Numbers',
    className: 'figure',
    value: (part) => part.numbers.join(', '),
  },
  { id: 'note', head: 'Note', isAside: true, value: (part) => part.note },
]

/** What of the address narrows the list, as it is asked. */
function narrowed(params: URLSearchParams, currency: string) {
  const word = (name: Narrowed): string | undefined => params.get(name) ?? undefined
  const number = (name: Narrowed): number | undefined => {
    const value = Number(params.get(name) ?? '')
    return params.get(name) && Number.isFinite(value) ? value : undefined
  }
  const price = number('priceTo')
  return {
    place: LINE_PLACES.find((place) => place === word('place')),
    size: word('size'),
    sizeFrom: number('sizeFrom'),
    sizeTo: number('sizeTo'),
    fits: word('fits'),
    isInStock: word('isInStock') === 'true' ? ('true' as const) : undefined,
    priceTo: price === undefined ? undefined : Math.round(price * 10 ** minorDigits(currency)),
    currency: price === undefined ? undefined : currency,
    evidence: GRADES.find((grade) => grade === word('evidence')),
  }
}

/** Marks parts: to be read side by side, or to be given a kind. */
const markColumn = (
  marked: readonly string[],
  mark: (ids: readonly string[]) => void,
): Column<PartRow> => ({
  id: 'mark',
  head: 'Mark',
  isActions: true,
  value: () => null,
  cell: ({ id, name }) => (
    <input
      type="checkbox"
      aria-label={`Mark ${name}`}
      className="size-4 accent-(--color-accent)"
      checked={marked.includes(id)}
      onChange={({ target }) =>
        mark(target.checked ? [...marked, id] : marked.filter((one) => one !== id))
      }
    />
  ),
})

const FIRST = 200
/** As many as are answered at once. */
const MOST = 1000

/** Parts by kind, searched by name or number among all there are. */
export function PartsList() {
  const [params, change] = useAddress()
  const [limit, setLimit] = useState(FIRST)
  const kind = params.get('kind') ?? ''
  const q = params.get('q') ?? ''
  const currency = useAnswer('GET /builds').data?.items[0]?.build.currency ?? 'EUR'
  const [marked, mark] = useState<readonly string[]>([])
  const asked = { kind: kind || undefined, q: q || undefined, ...narrowed(params, currency) }
  const parts = useAnswer('GET /parts', {
    query: { limit, ...asked },
  })
  const columns = useMemo(() => [markColumn(marked, mark), ...COLUMNS], [marked])
  const isAll = !q && !kind && NARROWS.every((name) => !params.get(name))
  return (
    <>
      <Narrow params={params} currency={currency} change={change} />
      <Loaded of={parts} what="the parts">
        {({ items, next, mended, isBehind }) =>
          items.length === 0 && isAll ? (
            <Empty
              like={LIKE.parts}
              action={
                <ButtonLink to="/catalogue/new/part" tone="main">
                  Add a part
                </ButtonLink>
              }
            >
              The catalogue is empty. Add a vehicle, an engine and a transmission by typing what was
              measured; leave out what is not known.
            </Empty>
          ) : (
            <>
              {kind === 'unsorted' && items.length > 0 && (
                <p className="px-4 pb-2">
                  These wait for a kind: until then they are candidates of no line.{' '}
                  <Button tone="quiet" onClick={() => mark(items.map(({ id }) => id))}>
                    Mark all {items.length} here
                  </Button>
                </p>
              )}
              {items.length === 0 && !isBehind && (
                <p role="status" className="px-4 pb-2">
                  No part is so. Change what narrows the list, or show all again.
                </p>
              )}
              {mended.map(({ typed, as }) => (
                <p key={typed} role="status" className="px-4 pb-2 text-steel">
                  Nothing holds "{typed}": shown for "{as}".
                </p>
              ))}
              {isBehind && <Behind ask={parts.mutate} />}
              <DataTable
                id="parts"
                what="parts"
                isMain
                rows={items}
                columns={columns}
                keyOf={(part) => part.id}
                search={{ words: q, onSearch: (words) => change({ q: words }) }}
                isPartial={next !== null}
              >
                <Select
                  aria-label="Kind"
                  value={kind}
                  options={CATALOGUE_OPTIONS}
                  nothing="Every kind"
                  onChange={(chosen) => change({ kind: chosen })}
                  isNarrow
                />
                {marked.length > 0 && (
                  <Marked
                    parts={items.filter(({ id }) => marked.includes(id))}
                    onDone={() => mark([])}
                  />
                )}
              </DataTable>
              <Whole asked={asked} />
              {next && (
                <div className="p-4">
                  {limit < MOST ? (
                    <Button onClick={() => setLimit(Math.min(MOST, limit + 400))}>Show more</Button>
                  ) : (
                    <p className="text-steel">
                      These are the first {MOST}. Search by name or number, or choose a kind, to see
                      the others.
                    </p>
                  )}
                </div>
              )}
            </>
          )
        }
      </Loaded>
    </>
  )
}

/** All parts that are so, however many, as files. */
function Whole({ asked }: { asked: Readonly<Record<string, unknown>> }) {
  const query = new URLSearchParams(
    Object.entries(asked).flatMap(([name, value]) =>
      value === undefined ? [] : [[name, String(value)]],
    ),
  )
  const files = [
    ['CSV', `/api/lists/all.csv?list=parts&${query}`],
    ['XLSX', `/api/lists/all.xlsx?list=parts&${query}`],
    ['JSON', `/api/parts.json?${query}`],
  ] as const
  return (
    <p className="px-4 pt-3 text-steel print:hidden">
      All that are so, not only those shown:{' '}
      {files.map(([words, address]) => (
        <a
          key={words}
          href={address}
          aria-label={`All as ${words}`}
          className="mr-3 inline-block min-h-6 text-accent underline underline-offset-2"
        >
          {words}
        </a>
      ))}
    </p>
  )
}
