import { GRADES, type Grade } from '../../../core/quantity/grade.ts'
import { Field, INPUT } from '../fields/field.tsx'
import { Radios } from '../fields/radios.tsx'
import { Select } from '../fields/select.tsx'
import type { Measurements } from './use-measurements.ts'

const SPECIMENS = [
  { value: 'very', words: 'this very part' },
  { value: 'like', words: 'one like it' },
] as const

const GRADE_SAYS: Record<Grade, string> = {
  fitted: 'Fitted: mated or run here',
  measured: 'Measured by us',
  maker: 'Maker: drawing or standard',
  catalogue: 'Catalogue',
  heard: 'Heard: somebody said it',
  assumed: 'Assumed',
}
const OPTIONS = GRADES.toReversed().map((value) => ({ value, words: GRADE_SAYS[value] }))

/** How what is recorded is known, on which part it was taken, and by whom. */
export function SaidOfAll({
  measurements: { build, ofAll, sayOfAll },
}: {
  measurements: Measurements
}) {
  return (
    <>
      <Field label="How it is known">
        {({ id }) => (
          <Select
            id={id}
            value={ofAll.grade}
            options={OPTIONS}
            onChange={(grade) => sayOfAll({ grade })}
          />
        )}
      </Field>
      {build && (ofAll.grade === 'measured' || ofAll.grade === 'fitted') && (
        <div>
          <span className="mb-1 block font-semibold">Taken on</span>
          <Radios
            label="Taken on"
            value={ofAll.specimen}
            options={SPECIMENS}
            onChange={(specimen) => sayOfAll({ specimen })}
          />
        </div>
      )}
      <div className="grid grid-cols-2 gap-3">
        <label>
          <span className="mb-1 block font-semibold">By whom</span>
          <input
            value={ofAll.by}
            onChange={(event) => sayOfAll({ by: event.target.value })}
            className={INPUT}
          />
        </label>
        <label>
          <span className="mb-1 block font-semibold">Source</span>
          <input
            value={ofAll.source}
            onChange={(event) => sayOfAll({ source: event.target.value })}
            placeholder="photo, sheet, who said it"
            className={INPUT}
          />
        </label>
      </div>
    </>
  )
}
