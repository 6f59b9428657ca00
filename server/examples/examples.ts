import { TITLES } from '../problem.ts'
import examples from './examples.json' with { type: 'json' }

/** An answer of each operation, by its name. */
export const EXAMPLES: Readonly<Record<string, unknown>> = examples

/** A problem of each status. */
export const PROBLEM_EXAMPLES: Readonly<Record<number, unknown>> = Object.fromEntries(
  Object.entries({
    400: 'The body is not JSON. Check brackets and quotes.',
    401: 'Give the passcode of this shop first.',
    403: "Writes are taken from this Junket's own pages only.",
    404: 'There is no build with id lanten. It may have been moved to the trash.',
    409: 'This build was changed meanwhile (version 4, yours was 3). Look at both and save again.',
    413: 'More than 50 MB was sent. Split the file and send the parts one by one.',
    415: '"text/html" is not read here. Send application/json.',
    422: 'name: Give it a name.',
    429: 'Other files are being read just now. Try again in some seconds.',
    500: 'Junket could not finish this. Nothing was half-written; try again, and note what you did if it happens twice.',
    503: 'A backup is being put back. Try again in a moment.',
    507: 'The disk is full. Make room and try again; nothing was half-written.',
  }).map(([status, detail]) => [
    status,
    { type: 'about:blank', title: TITLES[Number(status)], status: Number(status), detail },
  ]),
)
