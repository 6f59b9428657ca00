import type { FieldSpec } from './form-values.ts'
import type { Clash } from './merge.ts'
import { Button } from './ui.tsx'

/** What two people changed at once, side by side. */
export function Clashes({
  clashes,
  fields,
  onSettle,
}: {
  clashes: readonly Clash[]
  fields: readonly FieldSpec[]
  onSettle: (clash: Clash, take: boolean) => void
}) {
  if (clashes.length === 0) return null
  const labelOf = (name: string): string => fields.find((spec) => spec.name === name)?.label ?? name
  const show = (name: string, value: unknown): string => {
    const spec = fields.find((one) => one.name === name)
    if (typeof value === 'boolean') return value ? 'yes' : 'no'
    return spec?.type === 'select'
      ? (spec.options.find((option) => option.value === value)?.words ?? 'Not said')
      : String(value) || 'Nothing'
  }
  return (
    <section
      role="alert"
      aria-label="Changed by two people"
      className="sticky bottom-0 mt-4 max-h-[50vh] overflow-y-auto border border-ink border-l-[3px] border-l-clash bg-ground px-3 py-2"
    >
      <h2 className="font-bold">Somebody else changed this too</h2>
      <p className="mb-1 text-steel">Both are kept until you choose, field by field.</p>
      <table className="w-full">
        <thead>
          <tr className="border-b border-ink">
            <th className="py-1">Field</th>
            <th>Yours, not saved</th>
            <th>Theirs, saved</th>
          </tr>
        </thead>
        <tbody>
          {clashes.map((clash) => (
            <tr key={clash.name} className="border-b border-line align-top">
              <td className="py-1.5 font-semibold">{labelOf(clash.name)}</td>
              {([false, true] as const).map((take) => (
                <td key={String(take)} className="py-1.5 pr-3">
                  <div className="whitespace-pre-wrap break-words">
                    {show(clash.name, take ? clash.theirs : clash.yours)}
                  </div>
                  <Button
                    tone="quiet"
                    aria-label={`${take ? 'Take theirs' : 'Keep yours'}: ${labelOf(clash.name)}`}
                    onClick={() => onSettle(clash, take)}
                  >
                    {take ? 'Take theirs' : 'Keep yours'}
                  </Button>
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
}
