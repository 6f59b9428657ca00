import { useEffect, useRef } from 'react'

type Take = (files: Iterable<File>) => void

/** Who takes pasted pictures: the last that came on screen, a dialog before what is under it. */
const takers: { readonly current: Take }[] = []

function paste(event: ClipboardEvent): void {
  // Cells of a spreadsheet come as text and as a picture of themselves: in a field they are text.
  if ((event.target as Element).closest?.('input, textarea')) return
  const files = event.clipboardData?.files
  if (files?.length) takers.at(-1)?.current(files)
}

/** Hears of pictures that are pasted. */
export function usePasted(take: Take): void {
  const latest = useRef(take)
  latest.current = take
  useEffect(() => {
    takers.push(latest)
    if (takers.length === 1) document.addEventListener('paste', paste)
    return () => {
      takers.splice(takers.indexOf(latest), 1)
      if (takers.length === 0) document.removeEventListener('paste', paste)
    }
  }, [])
}
