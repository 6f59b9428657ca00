import { useEffect, useRef, useState } from 'react'

/**
 * Words to search for, kept elsewhere. While somebody types, what they typed is what shows: an address follows later than
 * keys come, and would take back what came meanwhile.
 */
export function SearchInput({
  words,
  onSearch,
  placeholder,
}: {
  words: string
  onSearch: (words: string) => void
  placeholder: string
}) {
  const input = useRef<HTMLInputElement>(null)
  const [typed, setTyped] = useState(words)
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
        onSearch(target.value)
      }}
      placeholder={placeholder}
      className="w-44 rounded border border-steel bg-ground px-2 py-1"
    />
  )
}
