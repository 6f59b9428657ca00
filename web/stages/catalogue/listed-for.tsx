import { Link } from 'react-router'
import type { Answer } from '../../../contract/asked.ts'
import { whereWords } from '../../../core/identity/where-text.ts'
import { kindWords } from '../../../core/ports/part-kinds.ts'
import { useAnswer } from '../../api/answer.ts'
import type { Column } from '../../components/table/column.ts'
import { DataTable } from '../../components/table/data-table.tsx'
import { Folded } from '../../components/ui.tsx'

type Listed = Answer<'GET /parts/{id}/listed'>['items'][number]

/** How what is listed stands for this very part. */
const STANDS: Readonly<Record<Listed['stands'], string>> = {
  holds: 'yes',
  unknown: 'not known yet',
  'other generation': 'another generation',
  fails: 'no',
}
const standing = ({ fits, stands }: Listed): string =>
  fits || stands !== 'holds' ? STANDS[stands] : 'said not to'

const COLUMNS: readonly Column<Listed>[] = [
  {
    id: 'kind',
    head: 'What',
    value: ({ parts: [first] }) => (first ? kindWords(first.kind) : null),
    cell: ({ parts: [first] }) => (first ? kindWords(first.kind) : 'No part here'),
  },
  {
    id: 'number',
    head: 'Number',
    isFixed: true,
    value: ({ issuer, number }) => `${issuer} ${number}`,
    cell: ({ issuer, number, parts: [first] }) => {
      const words = `${issuer} ${number}`
      return first ? (
        <Link
          className="figure text-accent underline"
          to={`/catalogue/parts/${encodeURIComponent(first.id)}`}
        >
          {words}
        </Link>
      ) : (
        <span className="figure">{words}</span>
      )
    },
  },
  {
    id: 'stands',
    head: 'For this one',
    title: 'How what is listed stands for this very part, as far as it is known',
    value: standing,
    cell: (row) => (
      <span className={standing(row) === 'yes' ? '' : 'font-bold'}>{standing(row)}</span>
    ),
  },
  {
    id: 'where',
    head: 'Where',
    value: ({ scope, isOwn }) =>
      [isOwn ? 'came with it' : '', whereWords(scope)].filter(Boolean).join('; '),
  },
  { id: 'todo', head: 'To do', value: ({ todo }) => todo.join('; ') || null },
  { id: 'grade', head: 'Known from', value: ({ grade }) => grade },
]

/** Numbers of what came with an engine, a gearbox or a vehicle, and those said to fit its family: computers and their years among them. */
export function ListedFor({ part }: { part: string }) {
  const { data } = useAnswer('GET /parts/{id}/listed', { params: { id: part } })
  if (!data || data.total === 0) return null
  const { items, total } = data
  return (
    <section aria-label="What is listed for it" className="mt-6">
      <Folded words={`What is listed for it (${total})`}>
        {total > items.length && (
          <p className="text-steel">
            The first {items.length} of {total}; all go out as a list from Catalogue.
          </p>
        )}
        <DataTable
          id="listed-for"
          what="numbers"
          rows={items}
          columns={COLUMNS}
          keyOf={({ id }) => id}
          isDense
        />
      </Folded>
    </section>
  )
}
