import { AsyncLocalStorage } from 'node:async_hooks'

/** Who acts, and in which command: one request's writes belong together, so that they are undone together. */
export interface Actor {
  readonly who: string
  readonly command: string
}

const storage = new AsyncLocalStorage<Actor>()

/** Runs work as somebody; every write inside carries the name and the command. */
export const actAs = <T>(actor: Actor, work: () => Promise<T>): Promise<T> =>
  storage.run(actor, work)

export const actorNow = (): Actor | undefined => storage.getStore()
