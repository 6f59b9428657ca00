import { useEffect } from 'react'
import { useSettings, useToday } from '../api/hooks.ts'

/** Text as CSS writes it. */
export const cssText = (text: string): string =>
  `"${text.replaceAll(/["\\]/g, '\\$&').replaceAll(/[\n\r\f]/g, ' ')}"`

/** The head and foot of every printed page: what it is of, the day, which page of how many. */
export const pageRule = (paper: string, title: string, day: string): string =>
  `@page { size: ${paper}; @top-left { content: ${cssText(title)}; } @top-right { content: ${cssText(day)}; } ` +
  '@bottom-left { content: "Junket. Computed from what is known; not an engineering approval."; } ' +
  '@bottom-right { content: counter(page) " of " counter(pages); } }'

/** Heads every page that is printed with what the window is called then, on the shop's paper. */
export function usePrintPage(): void {
  const paper = useSettings().data?.paper ?? 'A4'
  const day = useToday()
  useEffect(() => {
    const rule = document.createElement('style')
    document.head.append(rule)
    const write = (): void => {
      rule.textContent = pageRule(paper === 'Letter' ? 'letter' : 'A4', document.title, day)
    }
    window.addEventListener('beforeprint', write)
    return () => {
      window.removeEventListener('beforeprint', write)
      rule.remove()
    }
  }, [paper, day])
}
