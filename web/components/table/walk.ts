import type { KeyboardEvent } from 'react'

const STEPS: Readonly<Record<string, number>> = {
  ArrowDown: 1,
  ArrowUp: -1,
  PageDown: 10,
  PageUp: -10,
}
/** Arrow keys walk the rows. */
export function walk(event: KeyboardEvent<HTMLTableSectionElement>): void {
  const by = STEPS[event.key]
  const row = (event.target as Element).closest('tr')
  if (by === undefined || !row || event.target !== row) return
  event.preventDefault()
  const rows = [...event.currentTarget.querySelectorAll<HTMLElement>('tr[tabindex]')]
  rows[Math.max(0, Math.min(rows.length - 1, rows.indexOf(row) + by))]?.focus()
}
