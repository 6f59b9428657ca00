import { Tooltip } from 'radix-ui'
import type { ReactElement } from 'react'

/** What a short head, an icon or a mark means, said in full: over it, or when it is reached by the keyboard. */
export const Tip = ({ words, children }: { words: string | undefined; children: ReactElement }) =>
  words ? (
    <Tooltip.Provider delayDuration={300}>
      <Tooltip.Root>
        <Tooltip.Trigger asChild>{children}</Tooltip.Trigger>
        <Tooltip.Portal>
          <Tooltip.Content
            sideOffset={4}
            collisionPadding={8}
            className="z-50 max-w-72 rounded border border-rule bg-ground px-2 py-1 text-[13px] print:hidden"
          >
            {words}
          </Tooltip.Content>
        </Tooltip.Portal>
      </Tooltip.Root>
    </Tooltip.Provider>
  ) : (
    children
  )
