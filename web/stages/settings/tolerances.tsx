import { useState } from 'react'
import { TOLERANCES } from '../../../core/joints/tolerances.ts'
import { call } from '../../api/client.ts'
import { act } from '../../api/hooks.ts'
import { Button } from '../../components/ui.tsx'

/** Windows and tolerances of the shop, over the usual ones. */
export function Tolerances({ edits }: { edits: Record<string, number> }) {
  return (
    <section>
      <h2 className="font-bold">Tolerances</h2>
      <p className="mb-1 text-steel">
        Common practice, no published source. A change moves every verdict that leans on it.
      </p>
      <table className="w-full">
        <tbody>
          {Object.entries(TOLERANCES).map(([name, { value, words, unit }]) => (
            <ToleranceRow
              key={name}
              name={name}
              words={words}
              unit={unit}
              standard={value}
              edited={edits[name]}
            />
          ))}
        </tbody>
      </table>
    </section>
  )
}

function ToleranceRow({
  name,
  words,
  unit,
  standard,
  edited,
}: {
  name: string
  words: string
  unit: string
  standard: number
  edited: number | undefined
}) {
  const current = String(Number((edited ?? standard).toFixed(4)))
  const [text, setText] = useState(current)
  const [fault, setFault] = useState('')
  const save = (): void => {
    const value = Number(text.replace(',', '.'))
    if (text.trim() === '' || !Number.isFinite(value)) {
      setFault(`"${text}" is not a figure. It stays ${current}.`)
      setText(current)
      return
    }
    setFault('')
    if (String(value) !== current)
      void act(
        () => call('PATCH /settings', { body: { tolerances: { [name]: value } } }),
        `${words}: ${value} ${unit}`,
      )
  }
  return (
    <tr className="border-b border-line">
      <td className="py-1">
        {words}
        {fault && <div className="border-l-[3px] border-clash pl-2">{fault}</div>}
      </td>
      <td className="whitespace-nowrap py-1 text-right">
        <input
          aria-label={words}
          value={text}
          onChange={(event) => setText(event.target.value)}
          onBlur={save}
          onKeyDown={(event) => event.key === 'Enter' && save()}
          className="figure w-20 rounded border border-steel bg-ground px-1.5 py-0.5 text-right"
        />{' '}
        <span className="inline-block w-6 text-steel">{unit}</span>
      </td>
      <td className="w-16 pl-2">
        {edited !== undefined && (
          <Button
            tone="quiet"
            onClick={() => {
              setText(String(Number(standard.toFixed(4))))
              void act(
                () => call('PATCH /settings', { body: { tolerances: { [name]: null } } }),
                `${words}: back to ${Number(standard.toFixed(4))}`,
              )
            }}
          >
            Reset
          </Button>
        )}
      </td>
    </tr>
  )
}
