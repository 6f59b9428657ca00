import { Link } from 'react-router'
import type { Donor, Kit } from '../../../contract/answers/rows.ts'
import { useAnswer } from '../../api/answer.ts'
import { removeWithUndo } from '../../api/hooks.ts'
import { LIKE } from '../../components/likes.tsx'
import type { Column } from '../../components/table/column.ts'
import { moneyColumn } from '../../components/table/columns.tsx'
import { DataTable } from '../../components/table/data-table.tsx'
import { Button, ButtonLink, Empty, Loaded } from '../../components/ui.tsx'

type Bundle = Kit | Donor

const saysOf = (bundle: Bundle): string =>
  [bundle.note, 'omits' in bundle && bundle.omits && `Leaves out: ${bundle.omits}`]
    .filter(Boolean)
    .join(' · ')

const columnsOf = (kind: 'kit' | 'donor'): readonly Column<Bundle>[] => [
  {
    id: 'name',
    head: kind === 'kit' ? 'Kit' : 'Donor',
    isFixed: true,
    value: (bundle) => [bundle.name, saysOf(bundle)].filter(Boolean).join(': '),
    cell: (bundle) => (
      <>
        <Link
          to={`/catalogue/${kind}s/${encodeURIComponent(bundle.id)}`}
          className="font-bold text-accent underline underline-offset-2"
        >
          {bundle.name}
        </Link>
        <div className="text-steel">{saysOf(bundle)}</div>
      </>
    ),
  },
  {
    id: 'holds',
    head: 'Holds',
    className: 'max-w-[420px]',
    value: ({ items }) =>
      items
        .map(({ quantity, partName }) => `${quantity > 1 ? `${quantity} × ` : ''}${partName}`)
        .join(', '),
  },
  moneyColumn(
    'price',
    'Price',
    (bundle) => bundle.priceMinor,
    ({ currency }) => currency,
  ),
  {
    id: 'actions',
    head: 'Actions',
    isActions: true,
    align: 'right',
    value: () => null,
    cell: (bundle) => (
      <Button
        tone="quiet"
        aria-label={`Remove ${bundle.name}`}
        onClick={() =>
          void removeWithUndo(
            kind === 'kit' ? 'DELETE /kits/{id}' : 'DELETE /donors/{id}',
            { params: { id: bundle.id } },
            `${bundle.name} is in the trash.`,
          )
        }
      >
        Remove
      </Button>
    ),
  },
]
const KIT_COLUMNS = columnsOf('kit')
const DONOR_COLUMNS = columnsOf('donor')

/** Every kit with what it holds. */
export function KitsList() {
  const kits = useAnswer('GET /kits')
  return (
    <Loaded of={kits} what="the kits">
      {({ items }) =>
        items.length === 0 ? (
          <Empty
            like={LIKE.kits}
            action={
              <ButtonLink to="/catalogue/new/kit" tone="main">
                Add a kit
              </ButtonLink>
            }
          >
            A kit is conversion parts sold together. Its contents are searched as parts and bought
            as one.
          </Empty>
        ) : (
          <DataTable<Bundle>
            id="kits"
            what="kits"
            isMain
            rows={items}
            columns={KIT_COLUMNS}
            keyOf={(bundle) => bundle.id}
          />
        )
      }
    </Loaded>
  )
}

/** Every donor with what it yields. */
export function DonorsList() {
  const donors = useAnswer('GET /donors')
  return (
    <Loaded of={donors} what="the donors">
      {({ items }) =>
        items.length === 0 ? (
          <Empty
            like={LIKE.donors}
            action={
              <ButtonLink to="/catalogue/new/donor" tone="main">
                Add a donor
              </ButtonLink>
            }
          >
            A donor is a vehicle bought for its parts. What it yields is used, sold or scrapped; the
            plan weighs all of it.
          </Empty>
        ) : (
          <DataTable<Bundle>
            id="donors"
            what="donors"
            isMain
            rows={items}
            columns={DONOR_COLUMNS}
            keyOf={(bundle) => bundle.id}
          />
        )
      }
    </Loaded>
  )
}
