import { useEffect } from 'react'

const FOCUSABLE =
  'a[href], button:not(:disabled), input:not(:disabled), select:not(:disabled), textarea:not(:disabled), [tabindex]:not([tabindex="-1"])'

/**
 * Focus is never lost: when what had it leaves the page (a line settled, a row removed), it goes to what stands nearest,
 * so that the next key does not start from the top.
 */
export function useFocusKept(): void {
  useEffect(() => {
    let last: Element | null = null
    let around: Element[] = []
    const remember = (event: FocusEvent): void => {
      last = event.target as Element
      around = []
      for (let one = last.parentElement; one; one = one.parentElement) around.push(one)
    }
    const observer = new MutationObserver(() => {
      if (!last || last.isConnected || document.activeElement !== document.body) return
      const near = around.find(
        (one) =>
          one.isConnected &&
          one !== document.body &&
          one !== document.documentElement &&
          one.querySelector(FOCUSABLE),
      )
      last = null
      near?.querySelector<HTMLElement>(FOCUSABLE)?.focus({ preventScroll: true })
    })
    document.addEventListener('focusin', remember)
    observer.observe(document.body, { childList: true, subtree: true })
    return () => {
      document.removeEventListener('focusin', remember)
      observer.disconnect()
    }
  }, [])
}
