import type { ColumnVisibilityState, SortingState, Updater } from '@tanstack/react-table'
import { useMemo, useState } from 'react'
import { useAddress } from '../use-address.ts'
import type { Column } from './column.ts'

const applied = <T>(updater: Updater<T>, before: T): T =>
  typeof updater === 'function' ? (updater as (before: T) => T)(before) : updater

/** How a table is sorted and searched: in the address, so that a link, a reload and Back show the same. */
function useInAddress(id: string, isMain: boolean) {
  const [params, change] = useAddress()
  const [sortName, filterName] = isMain ? ['sort', 'filter'] : [`${id}.sort`, `${id}.filter`]
  const sort = params.get(sortName)
  // The same while it says the same: the table follows whatever it is given anew.
  const sorting = useMemo(
    (): SortingState => (sort ? [{ id: sort.replace(/^-/, ''), desc: sort.startsWith('-') }] : []),
    [sort],
  )
  return {
    sorting,
    sortBy: ([first]: SortingState) =>
      change({ [sortName]: first ? `${first.desc ? '-' : ''}${first.id}` : null }),
    filter: params.get(filterName) ?? '',
    filterBy: (words: string) => change({ [filterName]: words }),
  }
}

const keyOf = (id: string): string => `columns:${id}`
function kept(id: string): ColumnVisibilityState {
  try {
    return JSON.parse(localStorage.getItem(keyOf(id)) ?? '{}')
  } catch {
    return {}
  }
}

/**
 * What a table remembers: how it is sorted and searched in the address, its columns in this browser.
 * @param columns the same while they are the same: made once, or remembered
 * @param isMain the table its page is about
 */
export function useTableState<R>(id: string, columns: readonly Column<R>[], isMain: boolean) {
  const address = useInAddress(id, isMain)
  const [chosen, choose] = useState(() => kept(id))
  const visibility = useMemo(
    (): ColumnVisibilityState => ({
      ...Object.fromEntries(columns.flatMap((one) => (one.isAside ? [[one.id, false]] : []))),
      ...chosen,
    }),
    [columns, chosen],
  )
  const sorting = useMemo(
    () => address.sorting.filter(({ id: one }) => columns.some((column) => column.id === one)),
    [address.sorting, columns],
  )
  return {
    filter: address.filter,
    filterBy: address.filterBy,
    sorting,
    onSortingChange: (updater: Updater<SortingState>): void =>
      address.sortBy(applied(updater, address.sorting)),
    visibility,
    onVisibilityChange: (updater: Updater<ColumnVisibilityState>): void => {
      const next = applied(updater, visibility)
      localStorage.setItem(keyOf(id), JSON.stringify(next))
      choose(next)
    },
  }
}
