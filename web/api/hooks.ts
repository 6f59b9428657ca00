import { toast } from 'sonner'
import useSWR, { mutate } from 'swr'
import { dayIn } from '../../core/day.ts'
import type { Decimal, Reading, Units } from '../../core/quantity/units.ts'
import { ApiProblem, api } from './client.ts'
import { usePerson } from './person.ts'
import type {
  BudgetPage,
  Build,
  BuildHeader,
  Bundle,
  PairingDetail,
  PairingRow,
  PartDetail,
  PartRow,
  PartsList,
  SourcingView,
  Supplier,
} from './types.ts'

export const useBuilds = () => useSWR<{ items: BuildHeader[] }>('/builds')
export const useBuild = (id: string | undefined) => useSWR<BuildHeader>(id ? `/builds/${id}` : null)
export const usePairings = (id: string, most?: number) =>
  useSWR<{ items: PairingRow[]; of: number }>(
    `/builds/${id}/pairings${most ? `?most=${most}` : ''}`,
  )
export const usePairing = (id: string, engine: string | null, transmission: string | null) =>
  useSWR<PairingDetail>(
    engine && transmission
      ? `/builds/${id}/pairing?engine=${encodeURIComponent(engine)}&transmission=${encodeURIComponent(transmission)}`
      : null,
  )
export const useParts = (id: string) => useSWR<PartsList>(`/builds/${id}/parts`)
export const useSourcing = (id: string) => useSWR<SourcingView>(`/builds/${id}/sourcing`)
export const useBudget = (id: string) => useSWR<BudgetPage>(`/builds/${id}/budget`)
export const useCatalogue = (query: string) =>
  useSWR<{ items: PartRow[]; next: string | null }>(`/parts?${query}`)
export const usePart = (id: string | null | undefined, build?: string) =>
  useSWR<PartDetail>(
    id ? `/parts/${encodeURIComponent(id)}${build ? `?build=${build}` : ''}` : null,
  )
export const useKits = () => useSWR<{ items: Bundle[] }>('/kits')
export const useDonors = () => useSWR<{ items: Bundle[] }>('/donors')
export const useSuppliers = () => useSWR<{ items: Supplier[] }>('/suppliers')
export const usePeople = () =>
  useSWR<{ items: { id: string; version: number; name: string; decimal: Decimal }[] }>('/people')
export const useSession = () =>
  useSWR<{ asks: boolean; signedIn: boolean; hasPasscode: boolean }>('/session')
/** A row that cannot be read, with what stands in the fields at fault. */
export interface AsideRow {
  readonly table: string
  readonly id: string
  readonly version: number
  readonly name: string
  readonly faults: readonly { readonly field: string; readonly message: string }[]
  readonly because: string | null
  readonly values: Readonly<Record<string, string>>
  readonly hasEarlier: boolean
}
export const useSetAside = () => useSWR<{ items: AsideRow[] }>('/set-aside')
export const useSettings = () =>
  useSWR<{ units: Units; tolerances: Record<string, number>; timeZone: string }>('/settings')
/** The day it is at the shop. */
export const useToday = (): string => dayIn(useSettings().data?.timeZone ?? 'UTC', new Date())

/** How what is typed here is read: the shop's units, and what a comma means to who is at the bench. */
export function useReading(): Reading {
  const units = useSettings().data?.units
  const { decimal } = usePerson()
  return { units, decimal }
}

/** Everything on screen leans on the data: after a write all of it is asked again. */
export const refresh = (): Promise<unknown> => mutate(() => true)
/** Asks again only what is read from some paths. */
export const refreshWhere = (isWanted: (path: string) => boolean): Promise<unknown> =>
  mutate((key) => typeof key === 'string' && isWanted(key))

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
        ? error.errors.slice(0, 6).map(({ path, message }) => `${path}: ${message}`)
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

/** Removes something, with undo. */
export const removeWithUndo = async (path: string, done: string): Promise<boolean> => {
  let trash = ''
  return act(
    async () => {
      trash = (await api.remove(path)).trash
    },
    done,
    () => api.post(`/trash/${trash}/restore`),
  )
}

/** Saves part of a build on its newest version. */
export const saveBuild = (build: Build, patch: Record<string, unknown>): Promise<Build> =>
  api.patch(`/builds/${build.id}`, { version: build.version, ...patch })
