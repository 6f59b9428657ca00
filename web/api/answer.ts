import useSWR, { mutate, type SWRResponse } from 'swr'
import type { Answer, Asked } from '../../contract/asked.ts'
import { pathOf, type Readable } from './client.ts'

type Wanted<N extends Readable> =
  Record<never, never> extends Asked<N> ? [asked?: Asked<N> | null] : [asked: Asked<N> | null]

/** What an operation reads, kept while it is shown and read again when it changes; null: nothing is asked yet. */
export const useAnswer = <N extends Readable>(
  name: N,
  ...[asked]: Wanted<N>
): SWRResponse<Answer<N>> => useSWR<Answer<N>>(asked === null ? null : pathOf(name, asked))

/** Everything on screen leans on the data: after a write all of it is asked again. */
export const refresh = (): Promise<unknown> => mutate(() => true)
/** Asks again only what is read from some paths. */
export const refreshWhere = (isWanted: (path: string) => boolean): Promise<unknown> =>
  mutate((key) => typeof key === 'string' && isWanted(key))
