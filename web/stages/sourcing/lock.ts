import type { z } from 'zod'
import type { lockInput } from '../../../contract/rows.ts'
import { call } from '../../api/client.ts'
import { act } from '../../api/hooks.ts'

/** Locks a source, a piece, a bundle or a supplier of a build in or out, and says so. */
export const lock = (
  build: string,
  body: z.input<typeof lockInput>,
  said: string,
): Promise<boolean> =>
  act(() => call('POST /builds/{id}/locks', { params: { id: build }, body }), said)
