import { vi } from 'vitest'

// What a browser has and the tests' does not.
if (typeof Element !== 'undefined') {
  const { configure } = await import('@testing-library/dom')
  // Generous: what is waited for comes late on a busy machine.
  configure({ asyncUtilTimeout: 120_000 })
  vi.stubGlobal(
    'ResizeObserver',
    class {
      observe(): void {}
      unobserve(): void {}
      disconnect(): void {}
    },
  )
  Element.prototype.scrollIntoView = () => undefined
  Element.prototype.hasPointerCapture = () => false
  Element.prototype.releasePointerCapture = () => undefined
}
