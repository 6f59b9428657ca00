import type { PairingDetail } from '../../../contract/answers/pairings.ts'
import { useAnswer } from '../../api/answer.ts'
import { Money } from '../../components/ui.tsx'

/** Shafts off the shelf against one made to order, cheapest first. */
export function Shafts({ build, pairing }: { build: string; pairing: PairingDetail }) {
  const { data } = useAnswer('GET /builds/{id}/shafts', {
    params: { id: build },
    query: { engine: pairing.engine, transmission: pairing.transmission },
  })
  if (!data) return null
  return (
    <section aria-label="Shafts to be had">
      {data.shafts.map(({ name, wanted, unknown, search }) => (
        <div key={name} className="mb-2">
          <h3 className="font-bold">{name}: what is to be had</h3>
          {unknown && <p className="text-steel">{unknown}</p>}
          {wanted && (
            <p className="text-steel">
              <span className="figure">{Math.round(wanted.lengthMm)} mm</span> joint to joint,
              within <span className="figure">{Math.round(wanted.withinMm)} mm</span>,{' '}
              {wanted.inner} to {wanted.outer}
            </p>
          )}
          {search?.options.slice(0, 6).map((option, index) => (
            <div key={index} className="flex items-baseline gap-3 border-b border-line py-1">
              <span className="min-w-0">
                {option.kind === 'custom'
                  ? option.words
                  : option.halves.map((id) => data.names[id]).join(' + ')}
                {option.kind !== 'custom' && (
                  <span className="block text-steel">{option.words}</span>
                )}
              </span>
              <span className="ml-auto shrink-0">
                {option.priceMinor === null ? (
                  'no price yet'
                ) : (
                  <Money minor={option.priceMinor} currency={data.currency} />
                )}
              </span>
            </div>
          ))}
          {search && (
            <p className="text-steel">
              {search.tried} pairs of halves tried
              {search.options.some((one) => one.kind === 'custom')
                ? ''
                : '; type a price on the shaft’s line in Parts, and one made to order is compared'}
              {Object.entries(search.refused)
                .filter(([, count]) => count > 0)
                .map(([why, count]) => `; ${count} refused by ${why}`)
                .join('')}
              .
            </p>
          )}
        </div>
      ))}
    </section>
  )
}
