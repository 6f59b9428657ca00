import { useState } from 'react'
import { printQuantity, type StoredUnit } from '../../../core/quantity/units.ts'
import { useAnswer } from '../../api/answer.ts'
import { useSettings } from '../../api/hooks.ts'
import { Folded } from '../../components/ui.tsx'

const SAYS = {
  same: 'The same inside: every measurement agrees within both bounds.',
  different: 'Not the same inside.',
  unproved: 'Not proved yet: nothing disagrees, but these remain to be measured.',
} as const

/** Whether another transmission is the same inside: proved by measurements, with what remains unproved. */
export function SameInside({ part }: { part: string }) {
  const [other, setOther] = useState('')
  const boxes = useAnswer('GET /parts', { query: { kind: 'transmission', limit: 200 } })
  const { data: settings } = useSettings()
  const { data } = useAnswer(
    'GET /parts/{id}/same-inside/{other}',
    other ? { params: { id: part, other } } : null,
  )
  const show = (value: unknown, unit: string): string =>
    value === null || value === undefined
      ? 'not known'
      : typeof value === 'number'
        ? printQuantity(value, unit as StoredUnit, settings?.units)
        : Array.isArray(value)
          ? value.join(' ')
          : String(value)
  return (
    <Folded words="Is another the same inside?">
      <label className="block">
        <span className="mb-1 block font-semibold">Compare with</span>
        <select
          value={other}
          onChange={(event) => setOther(event.target.value)}
          className="w-full rounded border border-steel bg-ground px-1.5 py-1"
        >
          <option value="">Choose a transmission</option>
          {boxes.data?.items
            .filter((one) => one.id !== part)
            .map((one) => (
              <option key={one.id} value={one.id}>
                {one.name}
              </option>
            ))}
        </select>
      </label>
      {data && (
        <>
          <p role="status" className="py-1.5 font-semibold">
            {SAYS[data.verdict]}
          </p>
          <table className="w-full">
            <tbody>
              {data.fields
                .toSorted((p, q) => Number(p.verdict === 'equal') - Number(q.verdict === 'equal'))
                .map((field) => (
                  <tr
                    key={`${field.port}${field.field}`}
                    className="border-b border-line align-top"
                  >
                    <td className="py-1">
                      {field.label}
                      <span className="block text-steel">
                        {field.verdict}
                        {field.apart === null || field.apart === 0
                          ? ''
                          : `, ${Number(field.apart.toFixed(3))} apart`}
                        {field.within === null
                          ? ''
                          : `, known within ${Number(field.within.toFixed(3))}`}
                      </span>
                    </td>
                    <td className="figure py-1 pl-2 text-right">{show(field.one, field.unit)}</td>
                    <td className="figure py-1 pl-2 text-right">{show(field.other, field.unit)}</td>
                  </tr>
                ))}
            </tbody>
          </table>
        </>
      )}
    </Folded>
  )
}
