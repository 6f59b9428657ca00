import { useMemo } from 'react'
import type { SourcingView } from '../../../contract/answers/planning.ts'
import { removeWithUndo } from '../../api/hooks.ts'
import { MoneyBars } from '../../components/charts/money-bars.tsx'
import { Row, Rows } from '../../components/rows.tsx'
import { Button, Money } from '../../components/ui.tsx'
import { lock } from './lock.ts'

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
        <Rows label="Baskets">
          {view.baskets.map((basket) => (
            <Row
              key={basket.supplier}
              end={
                <Money minor={basket.goodsMinor + basket.shippingMinor} currency={view.currency} />
              }
              below={
                <>
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
                      void lock(
                        build,
                        { way: 'out', supplierId: basket.supplier },
                        `${basket.name} is left out. Solve again.`,
                      )
                    }
                  >
                    Buy nothing there
                  </Button>
                </>
              }
            >
              <b>{basket.name}</b>
            </Row>
          ))}
        </Rows>
      </section>
      <section>
        <h2 className="text-[15px] font-bold">Locks</h2>
        {view.locks.length === 0 && (
          <p className="text-steel">Select a line and press l to keep its source.</p>
        )}
        <Rows label="Locks">
          {view.locks.map((held) => (
            <Row
              key={held.id}
              end={
                <Button
                  tone="quiet"
                  aria-label={`Unlock: ${held.words}`}
                  onClick={() =>
                    void removeWithUndo(
                      'DELETE /builds/{id}/locks/{lock}',
                      { params: { id: build, lock: held.id } },
                      'The lock is off.',
                    )
                  }
                >
                  Unlock
                </Button>
              }
            >
              {held.words}
              {held.rests && <div className="text-steel">It rests: {held.rests}.</div>}
            </Row>
          ))}
        </Rows>
      </section>
    </aside>
  )
}
