import { Command } from 'cmdk'
import { ChevronDown } from 'lucide-react'
import { Popover } from 'radix-ui'
import { type ComponentProps, type ReactNode, useRef, useState } from 'react'

/** One of the things found. */
export interface Choice {
  readonly id: string
  readonly name: string
  /** Beside its name, smaller. */
  readonly detail?: string
  /** Under which head it stands, where there are several. */
  readonly group?: string
}

/**
 * One of many, found by typing: a field that opens a list to search.
 * @param shown the words of what is chosen
 * @param found what the words typed find, in the order to show; undefined while it is looked for
 * @param nothing what can be chosen to have none of them
 */
export function Combobox({
  shown,
  words,
  onSearch,
  found,
  nothing,
  onPick,
  placeholder,
  none,
  ...rest
}: {
  shown: string
  words: string
  onSearch: (words: string) => void
  found: readonly Choice[] | undefined
  nothing?: string | undefined
  onPick: (choice: Choice | null) => void
  placeholder: string
  /** What is said where nothing is found. */
  none: ReactNode
} & Omit<ComponentProps<'button'>, 'children'>) {
  const [isOpen, setOpen] = useState(false)
  const input = useRef<HTMLInputElement>(null)
  const groups = [...new Set(found?.map(({ group }) => group))]
  const pick = (choice: Choice | null): void => {
    setOpen(false)
    onSearch('')
    onPick(choice)
  }
  return (
    <Popover.Root
      open={isOpen}
      onOpenChange={(open) => {
        setOpen(open)
        if (!open) onSearch('')
      }}
    >
      <Popover.Trigger asChild>
        <button
          type="button"
          role="combobox"
          aria-expanded={isOpen}
          {...rest}
          onKeyDown={(event) => {
            const isLetter = /^[\p{L}\p{N}]$/u.test(event.key) && !event.ctrlKey && !event.metaKey
            if (event.altKey || (!isLetter && event.key !== 'ArrowDown')) return
            // Or the letter would be typed once more where the focus goes.
            event.preventDefault()
            setOpen(true)
            onSearch(isLetter ? event.key : '')
          }}
          className="inline-flex w-full min-w-0 items-center justify-between gap-2 rounded border border-steel bg-ground px-2 py-1.5 text-left aria-[invalid=true]:border-clash"
        >
          <span className="truncate">{shown}</span>
          <ChevronDown aria-hidden size={14} className="shrink-0" />
        </button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={2}
          collisionPadding={8}
          aria-label={placeholder}
          onOpenAutoFocus={(event) => {
            // Behind the letter that opened it: selected, it would go with the next.
            event.preventDefault()
            const { current } = input
            current?.focus()
            current?.setSelectionRange(current.value.length, current.value.length)
          }}
          className="z-50 w-[max(var(--radix-popover-trigger-width),260px)] max-w-[92vw] rounded border border-ink bg-ground"
        >
          <Command shouldFilter={false} label={placeholder}>
            <Command.Input
              ref={input}
              value={words}
              onValueChange={onSearch}
              placeholder={placeholder}
              className="w-full border-b border-line bg-ground px-2.5 py-1.5"
            />
            <Command.List className="max-h-[min(300px,calc(var(--radix-popover-content-available-height)-40px))] overflow-y-auto py-1">
              {nothing !== undefined && words === '' && (
                <Item id={' '} onSelect={() => pick(null)}>
                  <span className="text-steel">{nothing}</span>
                </Item>
              )}
              {groups.map((group) => (
                <Command.Group
                  key={group ?? ''}
                  {...(group
                    ? { heading: <span className="px-2.5 text-steel">{group}</span> }
                    : {})}
                >
                  {found
                    ?.filter((one) => one.group === group)
                    .map((one) => (
                      <Item key={one.id} id={one.id} onSelect={() => pick(one)}>
                        {one.name}
                        {one.detail && <span className="text-steel"> {one.detail}</span>}
                      </Item>
                    ))}
                </Command.Group>
              ))}
              {found === undefined && (
                <Command.Loading>
                  <span className="px-2.5 py-1 text-steel">Looking…</span>
                </Command.Loading>
              )}
              {found?.length === 0 && <p className="px-2.5 py-1 text-steel">{none}</p>}
            </Command.List>
          </Command>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}

const Item = ({
  id,
  onSelect,
  children,
}: {
  id: string
  onSelect: () => void
  children: ReactNode
}) => (
  <Command.Item
    value={id}
    onSelect={onSelect}
    className="cursor-default px-2.5 py-1 data-[selected=true]:bg-bench"
  >
    {children}
  </Command.Item>
)
