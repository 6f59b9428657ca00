import { useState } from 'react'
import type { Supplier } from '../../../contract/answers/rows.ts'
import { refresh, useAnswer } from '../../api/answer.ts'
import { call } from '../../api/client.ts'
import { removeWithUndo } from '../../api/hooks.ts'
import { Dialog } from '../../components/dialog.tsx'
import { Form } from '../../components/form.tsx'
import { HistoryButton } from '../../components/history.tsx'
import { Button, ButtonLink, Empty, Loaded, Money, PageHead } from '../../components/ui.tsx'

/** Who sells, in which currency, and on what terms. */
export function Component() {
  const suppliers = useAnswer('GET /suppliers')
  const [editingId, setEditingId] = useState<string | null>(null)
  // The row as it is stored now, not as it was when the dialog opened.
  const editing: Supplier | 'new' | null =
    editingId === 'new'
      ? 'new'
      : (suppliers.data?.items.find((one) => one.id === editingId) ?? null)
  return (
    <>
      <PageHead title="Suppliers" detail="Thresholds compare goods as that supplier states prices">
        <HistoryButton entity="supplier" title="suppliers" />
        <ButtonLink to="/suppliers/import">Import offers</ButtonLink>
        <Button tone="main" onClick={() => setEditingId('new')}>
          Add a supplier
        </Button>
      </PageHead>
      <Loaded of={suppliers} what="the suppliers">
        {({ items }) =>
          items.length === 0 ? (
            <Empty
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
            <table className="w-full">
              <thead>
                <tr className="border-b border-ink">
                  <th className="py-1 pl-4">Supplier</th>
                  <th>Currency</th>
                  <th className="text-right">Shipping</th>
                  <th className="text-right">Free over</th>
                  <th className="text-right">Smallest order</th>
                  <th aria-label="Actions" />
                </tr>
              </thead>
              <tbody>
                {items.map((one) => (
                  <tr key={one.id} className="border-b border-line">
                    <td className="py-2 pl-4">
                      <b>{one.name}</b>
                      <div className="text-steel">{one.place}</div>
                    </td>
                    <td className="figure">{one.currency}</td>
                    <td className="text-right">
                      <Money minor={one.shippingMinor} currency={one.currency} />
                    </td>
                    <td className="text-right">
                      <Money minor={one.freeOverMinor} currency={one.currency} />
                    </td>
                    <td className="text-right">
                      <Money minor={one.minimumMinor || null} currency={one.currency} />
                    </td>
                    <td className="pr-4 text-right">
                      <Button tone="quiet" onClick={() => setEditingId(one.id)}>
                        Change
                      </Button>
                      <Button
                        tone="quiet"
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
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
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
              {
                name: 'minimumMinor',
                label: 'Smallest order',
                type: 'money',
                currency: (values) => String(values.currency ?? 'EUR').toUpperCase(),
              },
            ]}
            initial={editing === 'new' ? { currency: 'EUR' } : editing}
            action={editing === 'new' ? 'Add supplier' : 'Save'}
            submit={async ({ shippingMinor, minimumMinor, ...rest }) => {
              const values = {
                ...rest,
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
              setEditingId(null)
            }}
          />
        </Dialog>
      )}
    </>
  )
}
