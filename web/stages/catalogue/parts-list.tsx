import { useState } from 'react'
import { Link } from 'react-router'
import type { Answer } from '../../../contract/asked.ts'
import { CATALOGUE_OPTIONS } from '../../../core/needs/catalogue-kinds.ts'
import { kindWords } from '../../../core/ports/part-kinds.ts'
import { useAnswer } from '../../api/answer.ts'
import { Select } from '../../components/fields/select.tsx'
import { LIKE } from '../../components/likes.tsx'
import type { Column } from '../../components/table/column.ts'
import { DataTable } from '../../components/table/data-table.tsx'
import { Button, ButtonLink, Empty, Loaded } from '../../components/ui.tsx'
import { useAddress } from '../../components/use-address.ts'

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
  { id: 'kind', head: 'Kind', value: (part) => kindWords(part.kind) },
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

const FIRST = 200
/** As many as are answered at once. */
const MOST = 1000

/** Parts by kind, searched by name or number among all there are. */
export function PartsList() {
  const [params, change] = useAddress()
  const [limit, setLimit] = useState(FIRST)
  const kind = params.get('kind') ?? ''
  const q = params.get('q') ?? ''
  const parts = useAnswer('GET /parts', {
    query: { limit, kind: kind || undefined, q: q || undefined },
  })
  return (
    <Loaded of={parts} what="the parts">
      {({ items, next }) =>
        items.length === 0 && !q && !kind ? (
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
            <DataTable
              id="parts"
              what="parts"
              isMain
              rows={items}
              columns={COLUMNS}
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
            </DataTable>
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
  )
}
