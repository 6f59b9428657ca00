import { useMemo } from 'react'
import { Link } from 'react-router'
import type { Watched } from '../../../contract/answers/kits.ts'
import { useAnswer } from '../../api/answer.ts'
import { removeWithUndo, useToday } from '../../api/hooks.ts'
import { Age } from '../../components/standing.tsx'
import type { Column } from '../../components/table/column.ts'
import { moneyColumn } from '../../components/table/columns.tsx'
import { DataTable } from '../../components/table/data-table.tsx'
import { Button, ButtonLink, Empty, Loaded, Money, PageHead } from '../../components/ui.tsx'

const columnsOf = (today: string): readonly Column<Watched>[] => [
  {
    id: 'part',
    head: 'Part',
    isFixed: true,
    value: ({ partName }) => partName,
    cell: ({ partId, partName, note, buildName }) => (
      <>
        <Link
          to={`/catalogue/parts/${encodeURIComponent(partId)}`}
          className="font-bold text-accent underline underline-offset-2"
        >
          {partName}
        </Link>
        <div className="text-steel">{[buildName, note].filter(Boolean).join(': ')}</div>
      </>
    ),
  },
  moneyColumn(
    'most',
    'At most',
    ({ mostMinor }) => mostMinor,
    ({ currency }) => currency,
  ),
  {
    id: 'best',
    head: 'Sold now',
    value: ({ best, announced, isHad }) =>
      best
        ? `${isHad ? 'to be had' : 'too dear'}, ${best.supplier}`
        : announced
          ? 'announced'
          : 'nobody sells it',
    cell: ({ best, announced, isHad, currency }) =>
      best ? (
        <>
          {isHad ? <b>To be had: </b> : 'Too dear: '}
          {best.supplier} <Money minor={best.minor} currency={currency} />{' '}
          <Age seenOn={best.heardOn} today={today} />
        </>
      ) : (
        <span className="text-steel">
          {announced ? 'announced, not sold yet' : 'nobody sells it'}
        </span>
      ),
  },
  {
    id: 'actions',
    head: 'Actions',
    isActions: true,
    align: 'right',
    value: () => null,
    cell: ({ id, partName }) => (
      <Button
        tone="quiet"
        aria-label={`Want ${partName} no more`}
        onClick={() =>
          void removeWithUndo(
            'DELETE /watches/{id}',
            { params: { id } },
            `${partName} is wanted no more.`,
          )
        }
      >
        No more
      </Button>
    ),
  },
]

/** Parts that are wanted, and whether they are to be had for what was said. */
export function Component() {
  const watched = useAnswer('GET /watches')
  const today = useToday()
  const columns = useMemo(() => columnsOf(today), [today])
  return (
    <>
      <PageHead title="Wanted parts" detail="Looked for in every list and price that comes in">
        <ButtonLink to="/suppliers">Suppliers</ButtonLink>
      </PageHead>
      <Loaded of={watched} what="what is wanted">
        {({ items }) =>
          items.length === 0 ? (
            <Empty action={<ButtonLink to="/catalogue">Catalogue</ButtonLink>}>
              Nothing is wanted. Open a part in the catalogue and say that you want it, at most for
              so much.
            </Empty>
          ) : (
            <DataTable
              id="wanted"
              what="parts"
              isMain
              rows={items}
              columns={columns}
              keyOf={({ id }) => id}
            />
          )
        }
      </Loaded>
    </>
  )
}
