import { setPriority } from 'node:os'

/** Lets whoever waits for an answer go before this thread: on Linux the priority is a thread's own. */
export function stepBack(): void {
  try {
    setPriority(0, 10)
  } catch {
    // Not every system lets a process step back; nothing depends on it.
  }
}
