import { useVirtualizer } from '@tanstack/react-virtual'
import { type RefObject, useLayoutEffect, useState } from 'react'

/** Fewer than these are drawn whole. */
const MANY = 150
const GUESS_PX = 34
const NOTHING = (): void => undefined

/** Which rows are drawn. */
export interface RowWindow {
  readonly first: number
  readonly last: number
  /** Room for the rows above and below that are not drawn, px. */
  readonly abovePx: number
  readonly belowPx: number
  readonly measure: (row: HTMLElement | null) => void
  /** Brings a row into view. */
  readonly reveal: (index: number) => void
}

/** What a node scrolls in. */
function scrollerOf(node: HTMLElement | null): HTMLElement | null {
  for (let up = node?.parentElement ?? null; up; up = up.parentElement)
    if (/auto|scroll/.test(getComputedStyle(up).overflowY)) return up
  return null
}

/** Of a long list the rows that can be seen, and room for the rest. */
export function useRowWindow(
  body: RefObject<HTMLTableSectionElement | null>,
  count: number,
  isWhole: boolean,
): RowWindow {
  const [above, setAbove] = useState(0)
  const scroller = (): HTMLElement | null => scrollerOf(body.current)
  // biome-ignore lint/correctness/useExhaustiveDependencies: what stands above may have changed with the list.
  useLayoutEffect(() => {
    const look = (): void => {
      const main = scroller()
      if (!main || !body.current) return
      const { top } = body.current.getBoundingClientRect()
      setAbove(top - main.getBoundingClientRect().top + main.scrollTop)
    }
    look()
    window.addEventListener('resize', look)
    return () => window.removeEventListener('resize', look)
  }, [count, isWhole])
  const isWindowed = count > MANY && !isWhole
  const virtual = useVirtualizer({
    count: isWindowed ? count : 0,
    getScrollElement: scroller,
    estimateSize: () => GUESS_PX,
    overscan: 8,
    useFlushSync: false,
    scrollMargin: above,
    // The heads stay over the rows.
    scrollPaddingStart: body.current?.parentElement?.querySelector('thead')?.clientHeight ?? 0,
  })
  const reveal = (index: number): void =>
    isWindowed
      ? index === 0
        ? scroller()?.scrollTo({ top: 0 })
        : virtual.scrollToIndex(index)
      : body.current
          ?.querySelector(`[data-index="${index}"]`)
          ?.scrollIntoView?.({ block: 'nearest' })
  if (!isWindowed)
    return {
      first: 0,
      last: count - 1,
      abovePx: 0,
      belowPx: 0,
      measure: NOTHING,
      reveal,
    }
  const items = virtual.getVirtualItems()
  const [head, tail] = [items[0], items.at(-1)]
  return {
    first: head?.index ?? 0,
    last: tail?.index ?? -1,
    abovePx: head ? head.start - above : 0,
    belowPx: tail ? virtual.getTotalSize() - (tail.end - above) : virtual.getTotalSize(),
    measure: virtual.measureElement,
    reveal,
  }
}
