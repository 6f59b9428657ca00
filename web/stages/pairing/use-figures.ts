import { startTransition, useEffect, useMemo, useRef, useState } from 'react'
import useSWR from 'swr'
import type { PairingFigures } from '../../../contract/answers/pairings.ts'
import type { PlacementSchool } from '../../../core/joints/joint.ts'
import { call } from '../../api/client.ts'
import type { PickedPair } from '../compare/picked.ts'
import { pairingKey } from './pairing-rows.ts'

/** So many are asked for at once, first those that are seen; what is not ready soon is asked for again. */
const SEEN = 12
const FIRST = 112
const AT_ONCE = 100
/** A list of thousands is drawn anew this often while its figures come in: seldom, as most of it cannot be seen. */
const EVERY_MS = 1500

/** While somebody types or scrolls nothing more is asked for, and the list stays as it is drawn: whoever looks comes first. */
const AFTER_INPUT_MS = 500
const SHOWN_AFTER_MS = 250
let inputAt = -Infinity
for (const name of ['keydown', 'wheel', 'pointerdown'])
  window.addEventListener(name, () => (inputAt = performance.now()), {
    passive: true,
    capture: true,
  })
const pause = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms))

type Keyed = PickedPair & { readonly key: string }
type Known = ReadonlyMap<string, PairingFigures>

/**
 * Figures of the pairings of a list as they are worked out, a slice at a time, the first of the list first: the server does it
 * on a thread of its own. After a change what is known stays until it is worked out anew.
 */
export function useFigures(
  build: string,
  school: PlacementSchool,
  pairs: readonly Keyed[],
): { readonly known: Known; readonly done: number } {
  const path = `/builds/${build}/pairing-figures?school=${school}`
  // Changes whenever what is shown of the build is asked again.
  const { data: turn = 0 } = useSWR(path, () => performance.now())
  const [held, hold] = useState<{ path: string; known: Known; done: number }>({
    path,
    known: new Map(),
    done: 0,
  })
  const first = useRef(pairs)
  first.current = pairs
  const keys = useMemo(() => new Set(pairs.map(({ key }) => key)), [pairs])
  const asked = useRef(keys)
  const isSame =
    asked.current.size === keys.size && [...keys].every((key) => asked.current.has(key))
  if (!isSame) asked.current = keys
  const list = asked.current
  useEffect(() => {
    if (turn === 0 || list.size === 0) return
    let isOver = false
    const fresh = new Map<string, PairingFigures>()
    // Whoever types meanwhile comes first.
    const show = (): void =>
      startTransition(() =>
        hold((before) => ({
          path,
          known: new Map([...(before.path === path ? before.known : []), ...fresh]),
          done: fresh.size,
        })),
      )
    const taken = new Set<string>()
    // First what is seen, then by parts: pairings that share theirs are judged together.
    const byParts = [...first.current].sort((p, q) => (p.key < q.key ? -1 : 1))
    const next = (most: number): readonly Keyed[] => {
      const from = taken.size < FIRST ? first.current : byParts
      const wanted: Keyed[] = []
      for (const pair of from) {
        if (!taken.has(pair.key)) wanted.push(pair)
        if (wanted.length === most) break
      }
      for (const { key } of wanted) taken.add(key)
      return wanted
    }
    let shownAt = -Infinity
    /** One slice; what was not ready is there to be asked for again. False where there is nothing left. */
    const slice = async (most: number): Promise<boolean> => {
      const wanted = next(most)
      if (wanted.length === 0) return false
      const { items } = await call('POST /builds/{id}/pairing-figures', {
        params: { id: build },
        body: {
          school,
          pairs: wanted.map(({ engineId, transmissionId, transferId }) => ({
            engineId,
            transmissionId,
            transferId,
          })),
        },
      })
      if (isOver) return false
      for (const item of items) fresh.set(pairingKey(item), item)
      for (const { key } of wanted) if (!fresh.has(key)) taken.delete(key)
      const now = performance.now()
      if (now - shownAt >= EVERY_MS && now - inputAt > SHOWN_AFTER_MS) {
        show()
        shownAt = now
      }
      return items.length > 0
    }
    const run = async (): Promise<void> => {
      let isLeft = await slice(SEEN)
      const loop = async (): Promise<void> => {
        while (isLeft && !isOver)
          if (performance.now() - inputAt < AFTER_INPUT_MS) await pause(AFTER_INPUT_MS / 2)
          else isLeft = await slice(AT_ONCE)
      }
      await Promise.all([loop(), loop()])
      // What one of the two gave back after the other had found nothing left.
      while (!isOver && (await slice(AT_ONCE)));
      if (!isOver) show()
    }
    run().catch(() => undefined)
    return () => {
      isOver = true
    }
  }, [build, school, path, turn, list])
  return held.path === path ? held : { known: new Map(), done: 0 }
}
