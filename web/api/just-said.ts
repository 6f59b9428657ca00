import { useState } from 'react'

/**
 * What was just ticked or chosen shows in the same moment, until it is stored or refused; then what is stored shows.
 * A box that waits for the server looks broken, and is clicked again.
 */
export function useJustSaid<V>(): {
  shown: (key: string, stored: V) => V
  say: (key: string, value: V, save: () => Promise<unknown>) => Promise<void>
} {
  const [said, setSaid] = useState<Readonly<Record<string, V>>>({})
  return {
    shown: (key, stored) => (Object.hasOwn(said, key) ? said[key]! : stored),
    say: async (key, value, save) => {
      setSaid((held) => ({ ...held, [key]: value }))
      try {
        await save()
      } finally {
        // Another choice made meanwhile is its own to take back.
        setSaid((held) =>
          held[key] === value
            ? Object.fromEntries(Object.entries(held).filter(([other]) => other !== key))
            : held,
        )
      }
    },
  }
}
