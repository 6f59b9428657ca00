import { useSyncExternalStore } from 'react'

export type Theme = 'day' | 'late'
const listeners = new Set<() => void>()

/** Day is the workbench on paper; late is the same bench by lamplight. What was chosen is remembered; else the machine says. */
export function themeNow(): Theme {
  const kept = localStorage.getItem('theme')
  return kept === 'day' || kept === 'late'
    ? kept
    : matchMedia('(prefers-color-scheme: dark)').matches
      ? 'late'
      : 'day'
}

export function setTheme(theme: Theme): void {
  localStorage.setItem('theme', theme)
  showTheme()
  for (const listen of listeners) listen()
}

export const showTheme = (): void => {
  document.documentElement.dataset.theme = themeNow()
}

export const useTheme = (): Theme =>
  useSyncExternalStore((listen) => {
    listeners.add(listen)
    return () => listeners.delete(listen)
  }, themeNow)
