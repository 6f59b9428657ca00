import clsx from 'clsx'
import { Check, ChevronDown } from 'lucide-react'
import { Select as Radix } from 'radix-ui'
import { type ComponentProps, useState } from 'react'

/** One of the things to choose from. */
export interface Option<V extends string = string> {
  readonly value: V
  readonly words: string
  /** Under which head it stands, where there are several. */
  readonly group?: string
}

/** Stands for nothing chosen: the list itself may hold no empty value. */
const NOTHING = '\u0000'

/** Yes or no, as a choice. */
export const YES_NO: readonly Option<'yes' | 'no'>[] = [
  { value: 'yes', words: 'yes' },
  { value: 'no', words: 'no' },
]
/** Words that are their own values. */
export const optionsOf = <V extends string>(words: readonly V[]): readonly Option<V>[] =>
  words.map((one) => ({ value: one, words: one }))

/**
 * One of a few, chosen from a list: by arrows, by typing its first letters, by touch. Of many a `Combobox` finds one.
 * @param nothing what is shown, and can be chosen again, where nothing is; without it one is always chosen
 */
export function Select<const V extends string, const N extends string | undefined = undefined>({
  value,
  options,
  nothing,
  onChange,
  isNarrow = false,
  className,
  ...rest
}: {
  value: string
  options: readonly Option<V>[]
  nothing?: N
  onChange: (value: V | (N extends string ? '' : never)) => void
  /** As wide as its words, not as its place. */
  isNarrow?: boolean
} & Omit<ComponentProps<'button'>, 'value' | 'onChange'>) {
  // Nobody needs the list before they are at it, and a page has many.
  const [isNear, setNear] = useState(false)
  const near = (): void => setNear(true)
  const groups = [...new Set(options.map(({ group }) => group))]
  const chosen = options.find((one) => one.value === value)?.words
  return (
    <Radix.Root
      value={value === '' ? NOTHING : value}
      onValueChange={(taken) => onChange((taken === NOTHING ? '' : taken) as V)}
      onOpenChange={near}
      {...(rest.disabled === undefined ? {} : { disabled: rest.disabled })}
    >
      <Radix.Trigger
        {...rest}
        onFocus={near}
        onPointerEnter={near}
        className={clsx(
          'inline-flex items-center justify-between gap-2 rounded border border-steel bg-ground px-2 text-left aria-[invalid=true]:border-clash disabled:opacity-50',
          isNarrow ? 'max-w-full py-1' : 'w-full min-w-0 py-1.5',
          className,
        )}
      >
        <span className="truncate">
          <Radix.Value>{chosen ?? nothing ?? 'Choose'}</Radix.Value>
        </span>
        <ChevronDown aria-hidden size={14} className="shrink-0" />
      </Radix.Trigger>
      {isNear && (
        <Radix.Portal>
          <Radix.Content
            position="popper"
            sideOffset={2}
            collisionPadding={8}
            className="z-50 max-h-(--radix-select-content-available-height) min-w-(--radix-select-trigger-width) max-w-[min(90vw,480px)] overflow-y-auto rounded border border-ink bg-ground py-1"
          >
            <Radix.Viewport>
              {nothing !== undefined && <Item value={NOTHING} words={nothing} isQuiet />}
              {groups.map((group) => (
                <Radix.Group key={group ?? ''}>
                  {group && (
                    <Radix.Label className="px-3 pb-0.5 pt-1.5 text-steel">{group}</Radix.Label>
                  )}
                  {options
                    .filter((one) => one.group === group)
                    .map((one) => (
                      <Item key={one.value} value={one.value} words={one.words} />
                    ))}
                </Radix.Group>
              ))}
            </Radix.Viewport>
          </Radix.Content>
        </Radix.Portal>
      )}
    </Radix.Root>
  )
}

const Item = ({
  value,
  words,
  isQuiet = false,
}: {
  value: string
  words: string
  isQuiet?: boolean
}) => (
  <Radix.Item
    value={value}
    className={clsx(
      'relative flex cursor-default select-none items-baseline py-1 pl-7 pr-3 outline-none data-[highlighted]:bg-bench',
      isQuiet && 'text-steel',
    )}
  >
    <Radix.ItemIndicator className="absolute left-2 top-1.5">
      <Check aria-hidden size={14} />
    </Radix.ItemIndicator>
    <Radix.ItemText>{words}</Radix.ItemText>
  </Radix.Item>
)
