import { toast } from 'sonner'
import type { Asked, Callable } from '../../contract/asked.ts'
import type { StoredRow } from '../../contract/stored.ts'
import { dayIn } from '../../core/day.ts'
import type { PlacementSchool } from '../../core/joints/joint.ts'
import type { Reading } from '../../core/quantity/units.ts'
import { refresh, useAnswer } from './answer.ts'
import { ApiProblem, call } from './client.ts'
import { placeWords } from './field-words.ts'
import { usePerson } from './person.ts'

export const useBuild = (id: string | undefined) =>
  useAnswer('GET /builds/{id}', id ? { params: { id } } : null)
export const usePairing = (
  id: string,
  engine: string | null,
  transmission: string | null,
  transfer: string | null = null,
  school?: PlacementSchool,
) =>
  useAnswer(
    'GET /builds/{id}/pairing',
    engine && transmission
      ? { params: { id }, query: { engine, transmission, transfer: transfer ?? undefined, school } }
      : null,
  )
export const usePart = (id: string | null | undefined, build?: string) =>
  useAnswer('GET /parts/{id}', id ? { params: { id }, query: { build } } : null)
export const useSettings = () => useAnswer('GET /settings')
/** The day it is at the shop. */
export const useToday = (): string => dayIn(useSettings().data?.timeZone ?? 'UTC', new Date())

/** How what is typed here is read: the shop's units, and what a comma means to who is at the bench. */
export function useReading(): Reading {
  const units = useSettings().data?.units
  const { decimal } = usePerson()
  return { units, decimal }
}

/** Runs a write, says what went wrong, and asks the screens again. True when it was done. */
export async function act(
  work: () => Promise<unknown>,
  done?: string,
  undo?: () => Promise<unknown>,
): Promise<boolean> {
  try {
    await work()
    await refresh()
    if (done)
      toast(
        done,
        undo
          ? {
              action: { label: 'Undo', onClick: () => void act(undo, 'Put back') },
              duration: 10_000,
            }
          : {},
      )
    return true
  } catch (error) {
    if (!(error instanceof ApiProblem)) throw error
    // One fault is in the sentence already.
    const named =
      error.errors.length > 1
        ? error.errors.slice(0, 6).map(({ path, message }) => `${placeWords(path)}: ${message}`)
        : []
    toast.error(
      error.message,
      named.length > 0
        ? { description: named.join('\n'), duration: 20_000, style: { whiteSpace: 'pre-line' } }
        : {},
    )
    return false
  }
}

/** Runs a write and asks the screens again; faults are for the caller to show. */
export async function write(work: () => Promise<unknown>): Promise<void> {
  await work()
  await refresh()
}

/** An operation that moves something to the trash. */
type Removing = Extract<Callable, `DELETE /${string}`>

/** Removes something, with undo. */
export async function removeWithUndo<N extends Removing>(
  name: N,
  asked: Asked<N>,
  done: string,
): Promise<boolean> {
  let trash = ''
  return act(
    async () => {
      const answer: unknown = await call<Removing>(name, asked)
      trash = (answer as { trash: string }).trash
    },
    done,
    () => call('POST /trash/{id}/restore', { params: { id: trash } }),
  )
}

type Build = StoredRow<'build'>
/** Saves part of a build on its newest version. */
export const saveBuild = (
  { id, version }: Build,
  patch: Omit<Asked<'PATCH /builds/{id}'>['body'], 'version'>,
): Promise<Build> => call('PATCH /builds/{id}', { params: { id }, body: { version, ...patch } })
