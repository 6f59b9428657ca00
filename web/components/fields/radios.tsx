import clsx from 'clsx'
import { RadioGroup } from 'radix-ui'
import type { Option } from './select.tsx'

/** One of two or three, all seen at once: by arrows, by a tap on the words. */
export function Radios<const V extends string>({
  label,
  value,
  options,
  onChange,
  isBoxed = false,
  className,
}: {
  label: string
  value: string
  options: readonly Option<V>[]
  onChange: (value: V) => void
  /** Big enough for a thumb in a glove. */
  isBoxed?: boolean
  className?: string
}) {
  return (
    <RadioGroup.Root
      aria-label={label}
      value={value}
      onValueChange={(chosen) => onChange(chosen as V)}
      className={clsx('flex flex-wrap', isBoxed ? 'gap-2' : 'gap-x-5 gap-y-1', className)}
    >
      {options.map((one) => (
        <label
          key={one.value}
          className={clsx(
            'flex cursor-pointer items-center gap-1.5',
            isBoxed &&
              'min-w-[72px] justify-center rounded border border-line px-2 py-1.5 has-data-[state=checked]:border-ink has-data-[state=checked]:bg-chosen has-data-[state=checked]:font-semibold',
          )}
        >
          <RadioGroup.Item
            value={one.value}
            className="flex size-4 shrink-0 items-center justify-center rounded-full border border-steel bg-ground data-[state=checked]:border-accent"
          >
            <RadioGroup.Indicator className="size-2 rounded-full bg-accent" />
          </RadioGroup.Item>
          {one.words}
        </label>
      ))}
    </RadioGroup.Root>
  )
}
