/** Commands this page wrote, newest last: what Ctrl+Z takes back, and what need not be read again when the server tells of it. */
const undoable: string[] = JSON.parse(sessionStorage.getItem('commands') ?? '[]')
const own = new Set<string>(undoable)
const KEPT = 100

export function commandWritten(command: string, canUndo: boolean): void {
  own.add(command)
  if (!canUndo) return
  undoable.push(command)
  undoable.splice(0, undoable.length - KEPT)
  sessionStorage.setItem('commands', JSON.stringify(undoable))
}

/** Takes the newest command off the list; undefined when there is none. */
export function takeNewest(): string | undefined {
  const newest = undoable.pop()
  sessionStorage.setItem('commands', JSON.stringify(undoable))
  return newest
}

export const isOwn = (command: string | null | undefined): boolean =>
  command != null && own.has(command)
