import type { Dowel, Hole } from '../../../core/ports/field.ts'
import { call } from '../../api/client.ts'
import { act } from '../../api/hooks.ts'
import { usePerson } from '../../api/person.ts'
import { Button } from '../../components/ui.tsx'

/** How an input looks here. */
export const input = 'rounded border border-steel bg-ground px-2 py-1.5'

/** A pattern that was found, not kept yet. */
export interface Found {
  readonly from: string
  readonly holes: readonly Hole[]
  readonly dowels: readonly Dowel[]
  readonly says: string
  readonly plusMinus: number | null
  /** A file somebody drew is no measurement of ours. */
  readonly grade: 'measured' | 'catalogue'
}

/** What was read, before it is kept: it lies over what is known, and says how well it fits. */
export function FoundSheet({
  port,
  found,
  onKept,
}: {
  port: string
  found: Found
  onKept: () => void
}) {
  const person = usePerson()
  const keep = async (): Promise<void> => {
    const claim = {
      portId: port,
      grade: found.grade,
      plusMinus: found.plusMinus,
      source: found.from,
      by: person.name,
    }
    const done = await act(async () => {
      await call('POST /claims', { body: { ...claim, field: 'holes', value: found.holes } })
      if (found.dowels.length > 0)
        await call('POST /claims', { body: { ...claim, field: 'dowels', value: found.dowels } })
    }, 'Kept with its grade.')
    if (done) onKept()
  }
  return (
    <section aria-label="What was read" className="mt-3 border-l-[3px] border-accent pl-3">
      <p>{found.says}</p>
      <p className="text-steel">
        Dashed in the drawing. A pattern seen from the wrong side is scrap: lay it on the block, or
        check one hole, before it is cut.
      </p>
      <Button tone="main" className="mt-2" onClick={() => void keep()}>
        {found.grade === 'measured' ? 'Keep as a measurement' : 'Keep as drawn by others'}
      </Button>
    </section>
  )
}

/** Least error that hand measuring of a hole's centre has, mm (common practice). */
export const LEAST_PM = 0.3
