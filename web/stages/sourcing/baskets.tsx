import { useMemo } from 'react'
import type { SourcingView } from '../../../contract/answers/planning.ts'
import { call } from '../../api/client.ts'
import { act, removeWithUndo } from '../../api/hooks.ts'
import { MoneyBars } from '../../components/charts/money-bars.tsx'
import { Button, Money } from '../../components/ui.tsx'

/** What is ordered where, with its shipping. */
export function Baskets({ build, view }: { build: string; view: SourcingView }) {
  const bars = useMemo(
    () =>
      view.baskets.map(({ name, goodsMinor, shippingMinor }) => ({
        name,
        minor: goodsMinor + shippingMinor,
      })),
    [view.baskets],
  )
  return (
    <aside aria-label="Baskets and locks" className="flex flex-col gap-4">
      <section>
        <h2 className="text-[15px] font-bold">Baskets</h2>
        {view.baskets.length === 0 && (
          <p className="text-steel">One basket a supplier, once there is a plan.</p>
        )}
        {view.baskets.length > 1 && (
          <MoneyBars id="baskets" title="By supplier" rows={bars} currency={view.currency} />
        )}
        {view.baskets.map((basket) => (
          <div key={basket.supplier} className="border-b border-line py-2">
            <div className="flex">
              <b>{basket.name}</b>
              <span className="ml-auto">
                <Money minor={basket.goodsMinor + basket.shippingMinor} currency={view.currency} />
              </span>
            </div>
            <div className="text-steel">
              {basket.items.length} {basket.items.length === 1 ? 'item' : 'items'}, shipping{' '}
              {basket.shippingMinor === 0 ? (
                'free'
              ) : (
                <Money minor={basket.shippingMinor} currency={view.currency} />
              )}
            </div>
            <Button
              tone="quiet"
              onClick={() =>
                void act(
                  () =>
                    call('POST /builds/{id}/locks', {
                      params: { id: build },
                      body: { way: 'out', supplierId: basket.supplier },
                    }),
                  `${basket.name} is left out. Solve again.`,
                )
              }
            >
              Buy nothing there
            </Button>
          </div>
        ))}
      </section>
      <section>
        <h2 className="text-[15px] font-bold">Locks</h2>
        {view.locks.length === 0 && (
          <p className="text-steel">Select a line and press l to keep its source.</p>
        )}
        {view.locks.map((lock) => (
          <p key={lock.id} className="flex items-start gap-2 border-b border-line py-1">
            {lock.words}
            <span className="ml-auto">
              <Button
                tone="quiet"
                onClick={() =>
                  void removeWithUndo(
                    'DELETE /builds/{id}/locks/{lock}',
                    { params: { id: build, lock: lock.id } },
                    'The lock is off.',
                  )
                }
              >
                Unlock
              </Button>
            </span>
          </p>
        ))}
      </section>
    </aside>
  )
}
