import { useMemo, useState } from 'react'
import { toast } from 'sonner'
import type { Supplier } from '../../../contract/answers/rows.ts'
import { refresh, useAnswer } from '../../api/answer.ts'
import { ApiProblem, call } from '../../api/client.ts'
import { removeWithUndo, useToday } from '../../api/hooks.ts'
import { Dialog } from '../../components/dialog.tsx'
import { Form } from '../../components/form.tsx'
import { HistoryButton } from '../../components/history.tsx'
import { LIKE } from '../../components/likes.tsx'
import { ageWords } from '../../components/standing.tsx'
import type { Column } from '../../components/table/column.ts'
import { moneyColumn } from '../../components/table/columns.tsx'
import { DataTable } from '../../components/table/data-table.tsx'
import { Button, ButtonLink, Empty, Loaded, PageHead } from '../../components/ui.tsx'
import { Reports } from '../catalogue/reports.tsx'
import { Readings, readingWords } from './readings.tsx'

const columnsOf = (change: (id: string) => void, today: string): readonly Column<Supplier>[] => [
  {
    id: 'name',
    head: 'Supplier',
    isFixed: true,
    value: (one) => [one.name, one.place].filter(Boolean).join(', '),
    cell: (one) => (
      <>
        <b>{one.name}</b>
        <div className="text-steel">{one.place}</div>
      </>
    ),
  },
  { id: 'currency', head: 'Currency', value: (one) => one.currency, className: 'figure' },
  moneyColumn(
    'shipping',
    'Shipping',
    (one) => one.shippingMinor,
    ({ currency }) => currency,
  ),
  moneyColumn(
    'freeOver',
    'Free over',
    (one) => one.freeOverMinor,
    ({ currency }) => currency,
  ),
  moneyColumn(
    'minimum',
    'Smallest order',
    (one) => one.minimumMinor || null,
    ({ currency }) => currency,
  ),
  {
    id: 'prices',
    head: 'Prices fetched',
    value: ({ feed, feedReadOn }) =>
      feed === null ? '' : feedReadOn === null ? 'never yet' : ageWords(feedReadOn, null, today),
  },
  {
    id: 'actions',
    head: 'Actions',
    isActions: true,
    align: 'right',
    value: () => null,
    cell: (one) => (
      <>
        {one.feed && (
          <Button
            tone="quiet"
            aria-label={`Fetch the prices of ${one.name}`}
            onClick={() => fetchPrices(one)}
          >
            Fetch prices
          </Button>
        )}
        <Button tone="quiet" aria-label={`Change ${one.name}`} onClick={() => change(one.id)}>
          Change
        </Button>
        <Button
          tone="quiet"
          aria-label={`Remove ${one.name}`}
          onClick={() =>
            void removeWithUndo(
              'DELETE /suppliers/{id}',
              { params: { id: one.id } },
              `${one.name} is in the trash.`,
            )
          }
        >
          Remove
        </Button>
      </>
    ),
  },
]

/** Fetches a supplier's prices now and says how it went. */
const fetchPrices = async ({ id, name }: Supplier): Promise<void> => {
  const waiting = toast.loading(`Fetching the prices of ${name}.`)
  try {
    const reading = await call('POST /suppliers/{id}/readings', { params: { id } })
    await refresh()
    const say = reading.isRead ? toast.success : toast.error
    say(`${name}: ${readingWords(reading)}`, { id: waiting, duration: 10_000 })
  } catch (error) {
    if (!(error instanceof ApiProblem)) throw error
    toast.error(error.message, { id: waiting })
  }
}

/** Who sells, in which currency, and on what terms. */
export function Component() {
  const suppliers = useAnswer('GET /suppliers')
  const [editingId, setEditingId] = useState<string | null>(null)
  const today = useToday()
  const columns = useMemo(() => columnsOf(setEditingId, today), [today])
  // The row as it is stored now, not as it was when the dialog opened.
  const editing: Supplier | 'new' | null =
    editingId === 'new'
      ? 'new'
      : (suppliers.data?.items.find((one) => one.id === editingId) ?? null)
  return (
    <>
      <PageHead title="Suppliers" detail="Thresholds compare goods as that supplier states prices">
        <HistoryButton entity="supplier" title="suppliers" />
        <ButtonLink to="/wanted">Wanted parts</ButtonLink>
        <ButtonLink to="/suppliers/import">Import offers</ButtonLink>
        <Button tone="main" onClick={() => setEditingId('new')}>
          Add a supplier
        </Button>
      </PageHead>
      <Loaded of={suppliers} what="the suppliers">
        {({ items }) =>
          items.length === 0 ? (
            <Empty
              like={LIKE.suppliers}
              action={
                <Button tone="main" onClick={() => setEditingId('new')}>
                  Add a supplier
                </Button>
              }
            >
              A supplier has a currency, a shipping charge, perhaps a sum over which shipping is
              free, and a smallest order. The plan weighs all of them.
            </Empty>
          ) : (
            <DataTable
              id="suppliers"
              what="suppliers"
              isMain
              rows={items}
              keyOf={(one) => one.id}
              columns={columns}
              onOpen={(one) => setEditingId(one.id)}
            />
          )
        }
      </Loaded>
      {editing && (
        <Dialog
          open
          onOpenChange={() => setEditingId(null)}
          title={editing === 'new' ? 'Add a supplier' : editing.name}
        >
          <Form
            id={editing === 'new' ? 'new-supplier' : `supplier-${editing.id}`}
            fields={[
              { name: 'name', label: 'Name', type: 'text', required: true },
              { name: 'place', label: 'Place', type: 'text' },
              {
                name: 'currency',
                label: 'Currency',
                type: 'text',
                required: true,
                upper: true,
                hint: 'ISO 4217, such as EUR',
              },
              {
                name: 'shippingMinor',
                label: 'Shipping charge',
                type: 'money',
                currency: (values) => String(values.currency ?? 'EUR').toUpperCase(),
              },
              {
                name: 'freeOverMinor',
                label: 'Shipping free from',
                type: 'money',
                currency: (values) => String(values.currency ?? 'EUR').toUpperCase(),
              },
              { name: 'returnDays', label: 'Taken back within, days', type: 'number', whole: true },
              {
                name: 'minimumMinor',
                label: 'Smallest order',
                type: 'money',
                currency: (values) => String(values.currency ?? 'EUR').toUpperCase(),
              },
              {
                name: 'feedAddress',
                label: 'Prices are fetched from',
                type: 'text',
                hint: 'An address that gives them page by page; blank where lists are sent',
              },
              {
                name: 'feedHours',
                label: 'Fetched every, hours',
                type: 'number',
                hint: 'Blank: only when asked',
              },
            ]}
            initial={
              editing === 'new'
                ? { currency: 'EUR' }
                : {
                    ...editing,
                    feedAddress: editing.feed?.address ?? null,
                    feedHours: editing.feed?.everyHours ?? null,
                  }
            }
            action={editing === 'new' ? 'Add supplier' : 'Save'}
            submit={async ({ shippingMinor, minimumMinor, feedAddress, feedHours, ...rest }) => {
              const values = {
                ...rest,
                feed: feedAddress ? { address: feedAddress, everyHours: feedHours } : null,
                shippingMinor: shippingMinor ?? 0,
                minimumMinor: minimumMinor ?? 0,
              }
              await (editing === 'new'
                ? call('POST /suppliers', { body: values })
                : call('PATCH /suppliers/{id}', {
                    params: { id: editing.id },
                    body: { version: editing.version, ...values },
                  }))
              await refresh()
              toast(`${values.name} is saved.`)
              setEditingId(null)
            }}
          />
          {editing !== 'new' && editing.feed && <Readings supplier={editing.id} />}
          {editing !== 'new' && (
            <div className="mt-4">
              <Reports of={{ supplier: editing.id }} what={editing.name} />
            </div>
          )}
        </Dialog>
      )}
    </>
  )
}
