import { lazy, Suspense } from 'react'
import type { Answer } from '../../../contract/asked.ts'
import { scaleOf, waterfall } from '../../components/charts/waterfall.ts'

const FallingBars = lazy(() => import('../../components/charts/falling-bars.tsx'))

/** So many stand side by side; the table below holds all. */
const SHOWN = 4
const BAR_PX = 20

/** From price to net cost, donor beside donor on one scale. The table below says the same. */
export function DonorWaterfalls({
  donors,
  currency,
}: {
  donors: Answer<'GET /builds/{id}/donors'>['donors']
  currency: string
}) {
  const falls = donors
    .flatMap(({ id, name, net }) =>
      net
        ? [
            {
              id,
              name,
              bars: waterfall(
                net.terms.map((term) => ({ id: term.id, name: term.words, minor: term.minor })),
                'Net cost',
              ),
            },
          ]
        : [],
    )
    .slice(0, SHOWN)
  const scale = scaleOf(falls.map(({ bars }) => bars))
  return (
    <section
      aria-hidden
      className="mb-4 grid gap-x-8 gap-y-4 border-y border-line py-3 print:hidden"
      style={{ gridTemplateColumns: 'repeat(auto-fill, minmax(240px, 1fr))' }}
    >
      {falls.map(({ id, name, bars }) => (
        <figure key={id}>
          <figcaption className="mb-1 font-bold">{name}</figcaption>
          <div style={{ height: bars.length * BAR_PX }}>
            <Suspense fallback={null}>
              <FallingBars falls={bars} scale={scale} currency={currency} />
            </Suspense>
          </div>
        </figure>
      ))}
    </section>
  )
}
