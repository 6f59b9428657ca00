import useSWR from 'swr'
import { call } from '../../api/client.ts'
import { useBuild, useReading } from '../../api/hooks.ts'
import { useSettled } from '../use-settled.ts'
import { keyOf, type Measurements } from './use-measurements.ts'
import { WorthOf } from './worth-of.tsx'

const NAMED = 3

/** What to measure next as if what is typed were recorded already: its order moves as one types. */
export function NextAsTyped({ measurements }: { measurements: Measurements }) {
  const { build, waiting } = measurements
  const { decimal } = useReading()
  const currency = useBuild(build ?? '').data?.build.currency ?? 'EUR'
  const typed = useSettled(
    waiting.map((field) => ({
      port: field.port,
      field: field.field,
      typed: measurements.typed(field),
      decimal,
    })),
  )
  const { data } = useSWR(
    build === null ? null : [`/builds/${build}/measure-next`, JSON.stringify(typed)],
    () => call('POST /builds/{id}/measure-next', { params: { id: build! }, body: { typed } }),
    { keepPreviousData: true },
  )
  if (!data) return null
  return (
    <section aria-label="Next, as typed" className="border-line border-t pt-2">
      <h3 className="font-bold">
        {typed.length === 0 ? 'Measure next' : 'Next, with what is typed'}
      </h3>
      {data.items.length === 0 ? (
        <p className="text-steel">Nothing more would change the choice or what it costs.</p>
      ) : (
        <ol className="list-decimal pl-5">
          {data.items.slice(0, NAMED).map((one) => (
            <li key={keyOf(one)}>
              {one.label}, {one.partName}{' '}
              <span className="text-steel">
                <WorthOf next={one} currency={currency} />
              </span>
            </li>
          ))}
        </ol>
      )}
    </section>
  )
}
