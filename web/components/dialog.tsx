import { Dialog as Radix } from 'radix-ui'
import type { ReactNode } from 'react'
import { Button } from './ui.tsx'

/** For a page's own Escape: one that closed a dialog over it is not the page's as well. */
export const BELOW_DIALOGS = {
  ignoreEventWhen: (event: KeyboardEvent): boolean => event.defaultPrevented,
}

const WIDTHS = { narrow: 'max-w-lg', wide: 'max-w-3xl', broad: 'max-w-6xl' } as const

/** A dialog over the work: focus goes in, Escape closes, focus goes back. */
export function Dialog({
  open,
  onOpenChange,
  title,
  children,
  size = 'narrow',
}: {
  open: boolean
  onOpenChange: (open: boolean) => void
  title: string
  children: ReactNode
  size?: keyof typeof WIDTHS
}) {
  return (
    <Radix.Root open={open} onOpenChange={onOpenChange}>
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 z-40 bg-ink/30" />
        <Radix.Content
          aria-describedby={undefined}
          // A form in it is its own, also where the dialog was opened from within another.
          onSubmit={(event) => event.stopPropagation()}
          className={`fixed z-40 left-1/2 top-[calc((100dvh-var(--told))/2)] max-h-[calc((100dvh-var(--told))*0.92)] w-[94vw] -translate-x-1/2 -translate-y-1/2 overflow-y-auto rounded border border-ink bg-ground p-4 ${WIDTHS[size]}`}
        >
          <div className="mb-3 flex items-start justify-between gap-4">
            <Radix.Title className="text-[15px] font-bold">{title}</Radix.Title>
            <Radix.Close asChild>
              <Button tone="quiet">Close</Button>
            </Radix.Close>
          </div>
          {children}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  )
}
