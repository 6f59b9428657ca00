import type { MissingField } from '../../../core/joints/verdict.ts'
import { Button } from '../ui.tsx'
import { FieldPanel } from './field-panel.tsx'
import { SaidOfAll } from './said-of-all.tsx'
import { useMeasurements } from './use-measurements.ts'

/** One measurement: value, method with ± offered, this very part or one like it, and by whom. */
export function ClaimForm({
  build,
  field,
  onDone,
}: {
  build: string | null
  field: MissingField
  onDone: () => void
}) {
  const measurements = useMeasurements(build, [field])
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault()
        if (measurements.waiting.length === 0)
          measurements.say(field, { fault: 'Type the value first.' })
        else void measurements.record().then((done) => done.length > 0 && onDone())
      }}
      className="flex flex-col gap-3"
    >
      <FieldPanel field={field} measurements={measurements} opensHere />
      <SaidOfAll measurements={measurements} />
      <Button type="submit" tone="main" className="self-start">
        Record measurement
      </Button>
    </form>
  )
}
