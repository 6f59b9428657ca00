import { useEffect } from 'react'

const AGAIN_MS = 700

/** That not everything is found yet; asked again until it is. */
export function Behind({ ask }: { ask: () => unknown }) {
  useEffect(() => {
    const again = setInterval(() => void ask(), AGAIN_MS)
    return () => clearInterval(again)
  }, [ask])
  return (
    <p className="px-2 py-1 text-steel" role="status">
      What was just taken in is still being sorted: there may be more in a moment.
    </p>
  )
}
