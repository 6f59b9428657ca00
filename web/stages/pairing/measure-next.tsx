import { useState } from 'react'
import { useAnswer } from '../../api/answer.ts'
import { useBuild } from '../../api/hooks.ts'
import { MeasureDialog } from '../../components/measuring/measure-dialog.tsx'
import { WorthOf } from '../../components/measuring/worth-of.tsx'
import { Button, ButtonLink } from '../../components/ui.tsx'

const NAMED = 3

/** Which few measurements would change the choice or its cost the most, for the time they take; recorded in place. */
export function MeasureNext({ build }: { build: string }) {
  const { data } = useAnswer('GET /builds/{id}/measure-next', { params: { id: build } })
  const currency = useBuild(build).data?.build.currency ?? 'EUR'
  const [open, setOpen] = useState(false)
  if (!data || data.inPlay.length === 0) return null
  if (data.items.length === 0)
    return (
      <section aria-label="Measure next">
        <h3 className="font-bold">Measure next</h3>
        <p className="text-steel">
          Of {data.inPlay.length} pairings in play, nothing that is open would change the choice or
          what the cheapest costs.
        </p>
      </section>
    )
  const minutes = data.items.slice(0, NAMED).reduce((sum, one) => sum + one.minutes, 0)
  return (
    <section aria-label="Measure next">
      <h3 className="font-bold">
        Measure next{' '}
        <span className="font-normal text-steel">
          over {data.inPlay.length} pairings in play, <span className="figure">{minutes}</span> min
        </span>
      </h3>
      <ol>
        {data.items.slice(0, NAMED).map((one) => (
          <li key={`${one.port}.${one.field}`} className="flex gap-3 border-line border-b py-1.5">
            <span>
              {one.label}
              <span className="block text-steel">
                {one.partName} · {one.minutes} min
              </span>
            </span>
            <span className="ml-auto max-w-32 text-right text-steel">
              <WorthOf next={one} currency={currency} />
            </span>
          </li>
        ))}
      </ol>
      <p className="flex items-center gap-3 pt-2">
        <Button onClick={() => setOpen(true)}>Record them</Button>
        <ButtonLink tone="quiet" to={`/builds/${build}/measure-next`}>
          As a card, in the order one crawls under
        </ButtonLink>
      </p>
      {open && (
        <MeasureDialog
          build={build}
          title="What changes the choice"
          verdict={{ fields: data.items, missing: data.items, limits: [] }}
          isRanked
          onClose={() => setOpen(false)}
        />
      )}
    </section>
  )
}
