import { type RefObject, useLayoutEffect, useRef, useState } from 'react'

/** Width of an element as it is laid out, px; a guess until it is. */
export function useWidth<E extends HTMLElement>(guess: number): [RefObject<E | null>, number] {
  const ref = useRef<E>(null)
  const [width, setWidth] = useState(guess)
  useLayoutEffect(() => {
    const element = ref.current
    if (!element || typeof ResizeObserver === 'undefined') return
    const observer = new ResizeObserver(() => setWidth(element.clientWidth || guess))
    observer.observe(element)
    setWidth(element.clientWidth || guess)
    return () => observer.disconnect()
  }, [guess])
  return [ref, width]
}
