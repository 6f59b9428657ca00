import { useEffect, useRef, useState } from 'react'

/**
 * Words to search for, kept elsewhere. While somebody types, what they typed is what shows: an address follows later than
 * keys come, and would take back what came meanwhile.
 */
export function SearchInput({
  words,
  onSearch,
  placeholder,
  isLong = false,
}: {
  words: string
  onSearch: (words: string) => void
  placeholder: string
  /** Whether what is searched takes time: a key is drawn before it is done. */
  isLong?: boolean
}) {
  const input = useRef<HTMLInputElement>(null)
  const [typed, setTyped] = useState(words)
  const latest = useRef(onSearch)
  latest.current = onSearch
  const frame = useRef(0)
  useEffect(() => () => cancelAnimationFrame(frame.current), [])
  const search = (said: string): void => {
    cancelAnimationFrame(frame.current)
    if (isLong)
      // After the frame that shows the key.
      frame.current = requestAnimationFrame(() => {
        frame.current = requestAnimationFrame(() => latest.current(said))
      })
    else onSearch(said)
  }
  useEffect(() => {
    if (document.activeElement !== input.current) setTyped(words)
  }, [words])
  return (
    <input
      ref={input}
      type="search"
      value={typed}
      onChange={({ target }) => {
        setTyped(target.value)
        search(target.value)
      }}
      placeholder={placeholder}
      className="w-44 rounded border border-steel bg-ground px-2 py-1"
    />
  )
}
