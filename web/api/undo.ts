import { toast } from 'sonner'
import { refresh } from './answer.ts'
import { ApiProblem, call } from './client.ts'
import { takeNewest } from './commands.ts'
import { act } from './hooks.ts'

/** Undoes one command; its toast can do it again. */
export const undoCommand = (command: string): Promise<boolean> =>
  act(() => post(command), 'Put back')

const post = (command: string) => call('POST /undo', { body: { command } })

/** Undoes the newest command of this page that wrote anything. */
export async function undoNewest(): Promise<void> {
  for (let command = takeNewest(); command; command = takeNewest()) {
    try {
      const { command: inverse } = await post(command)
      await refresh()
      toast('Undone.', {
        action: { label: 'Do it again', onClick: () => inverse && void undoCommand(inverse) },
        duration: 10_000,
      })
      return
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error
      // What asked or computed only has nothing to undo: the one before it is meant.
      if (error.status === 404) continue
      toast.error(error.message)
      return
    }
  }
  toast('There is nothing to undo on this page since it was opened.')
}
