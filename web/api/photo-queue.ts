import { createStore, del, entries, set, type UseStore } from 'idb-keyval'
import { useSyncExternalStore } from 'react'
import { v7 as uuidv7 } from 'uuid'
import type { Asked } from '../../contract/asked.ts'
import { refreshWhere } from './answer.ts'
import { ApiProblem, call } from './client.ts'
import { personNow } from './person.ts'

/** Whose pictures: a part's, a donor's or a build's; and where on it. */
export type PhotosOf = Omit<Asked<'POST /photos'>['query'], 'id' | 'note' | 'saidBy'>

/** A picture that has not arrived yet. */
export interface WaitingPhoto {
  readonly id: string
  readonly of: PhotosOf
  readonly saidBy: string | undefined
  readonly picture: Blob
  readonly name: string
  /** Why it was refused; empty while it only waits. */
  readonly fault: string
}

const RETRY_MS = 4000
let waiting: readonly WaitingPhoto[] = []
let isSending = false
const heard = new Set<() => void>()

/** Where they are kept in this browser; where it keeps nothing they last as long as the page. */
let store: UseStore | null | undefined
function kept(): UseStore | null {
  store ??= 'indexedDB' in globalThis ? createStore('junket-photos', 'waiting') : null
  return store
}

function hold(next: readonly WaitingPhoto[]): void {
  waiting = next
  for (const hear of heard) hear()
}
const replace = (photo: WaitingPhoto): void =>
  hold(waiting.map((one) => (one.id === photo.id ? photo : one)))

async function forget(id: string): Promise<void> {
  const from = kept()
  if (from) await del(id, from).catch(() => undefined)
  hold(waiting.filter((one) => one.id !== id))
}

/** Sends what waits, one after another, oldest first; what is refused stays until somebody takes it out. */
async function bring(): Promise<void> {
  if (isSending) return
  isSending = true
  try {
    for (
      let next = waiting.find(({ fault }) => fault === '');
      next;
      next = waiting.find(({ fault }) => fault === '')
    ) {
      const { id, of, saidBy, picture } = next
      try {
        await call('POST /photos', { query: { id, ...of, saidBy }, body: picture })
      } catch (error) {
        if (!(error instanceof ApiProblem)) throw error
        // Nobody there, or too much at once: it is sent again by itself.
        if (error.isLostConnection || error.status === 429 || error.status >= 500) return
        replace({ ...next, fault: error.message })
        continue
      }
      // Shown from what is kept before it leaves the queue: a picture never blinks away.
      await refreshWhere((path) => path.startsWith('/photos'))
      await forget(id)
    }
  } finally {
    isSending = false
  }
}

let isStarted = false
/** Once a page shows pictures: what waited when the browser was closed is sent. */
function start(): void {
  if (isStarted) return
  isStarted = true
  const from = kept()
  if (from)
    void entries<string, WaitingPhoto>(from).then((all) => {
      const held = new Set(waiting.map(({ id }) => id))
      hold([...all.map(([, photo]) => photo).filter(({ id }) => !held.has(id)), ...waiting])
      return bring()
    }, bring)
  setInterval(() => void bring(), RETRY_MS)
  window.addEventListener('online', () => void bring())
}

async function add(of: PhotosOf, files: readonly File[]): Promise<void> {
  const to = kept()
  for (const file of files) {
    const photo: WaitingPhoto = {
      id: uuidv7(),
      of,
      saidBy: personNow().name ?? undefined,
      picture: file,
      name: file.name,
      fault: '',
    }
    // Where the browser keeps nothing more, it lasts as long as the page.
    if (to) await set(photo.id, photo, to).catch(() => undefined)
    hold([...waiting, photo])
  }
  void bring()
}

const keyOf = ({ partId, donorId, buildId, spot }: PhotosOf): string =>
  [partId, donorId, buildId, spot].join('|')

function listen(hear: () => void): () => void {
  start()
  heard.add(hear)
  return () => heard.delete(hear)
}

/** Pictures added here, kept in the browser until the server has them: a reload or a lost connection loses none. */
export function usePhotoQueue(of: PhotosOf): {
  readonly waiting: readonly WaitingPhoto[]
  readonly add: (files: readonly File[]) => Promise<void>
  readonly takeOut: (id: string) => Promise<void>
} {
  const all = useSyncExternalStore(listen, () => waiting)
  return {
    waiting: all.filter((one) => keyOf(one.of) === keyOf(of)),
    add: (files) => add(of, files),
    takeOut: forget,
  }
}
