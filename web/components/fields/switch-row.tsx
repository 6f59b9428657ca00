import { ToggleGroup } from 'radix-ui'
import type { ReactNode } from 'react'

/** Which of a few views of the same is shown: a row of words, walked by arrows. */
export function SwitchRow<const V extends string>({
  label,
  value,
  options,
  onChange,
}: {
  label: string
  value: V
  options: readonly { readonly value: V; readonly words: ReactNode }[]
  onChange: (value: V) => void
}) {
  return (
    <ToggleGroup.Root
      type="single"
      aria-label={label}
      value={value}
      // Pressed again it stays: one is always shown.
      onValueChange={(chosen) => chosen && onChange(chosen as V)}
      className="flex flex-wrap gap-1 print:hidden"
    >
      {options.map((one) => (
        <ToggleGroup.Item
          key={one.value}
          value={one.value}
          className="rounded border border-line px-2.5 py-0.5 data-[state=on]:border-ink data-[state=on]:bg-bench data-[state=on]:font-semibold"
        >
          {one.words}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  )
}
