import clsx from 'clsx'
import { useMemo } from 'react'
import type { Pairings } from '../../../contract/answers/pairings.ts'
import { Select } from '../../components/fields/select.tsx'
import { useAddress } from '../../components/use-address.ts'
import {
  type Narrowed,
  ONLY,
  ONLY_WORDS,
  type Only,
  readOnly,
  WAITS,
  writeOnly,
} from './pairing-filters.ts'

/** What narrows the list, in the address. */
export function useNarrowed(): {
  readonly narrowed: Narrowed
  readonly set: (next: Partial<Narrowed>) => void
} {
  const [params, change] = useAddress()
  const [only, family, type] = [params.get('only'), params.get('family'), params.get('type')]
  const narrowed = useMemo(
    (): Narrowed => ({ only: readOnly(only), family, type }),
    [only, family, type],
  )
  return {
    narrowed,
    set: (next) => {
      const all = { ...narrowed, ...next }
      change({ only: writeOnly(all.only), family: all.family, type: all.type })
    },
  }
}

/** Over the list: what it is narrowed by, each a press; and what it is grouped by. */
export function FilterChips({
  listed,
  narrowed,
  hasLimit,
  isDone,
  group,
  set,
  onGroup,
}: {
  listed: Pairings
  narrowed: Narrowed
  /** Whether the brief limits the money. */
  hasLimit: boolean
  isDone: boolean
  group: string | null
  set: (next: Partial<Narrowed>) => void
  onGroup: (to: string | null) => void
}) {
  const { only, family, type } = narrowed
  const of = (key: 'family' | 'type') =>
    [...new Set(listed.parts.flatMap((part) => part[key] ?? []))]
      .sort()
      .map((value) => ({ value, words: value }))
  const isOn = (one: Only): boolean => only.includes(one)
  const count = only.length + (family ? 1 : 0) + (type ? 1 : 0)
  return (
    <span className="flex flex-wrap items-center gap-x-2 gap-y-1">
      {ONLY.filter((one) => one !== 'under' || hasLimit).map((one) => (
        <button
          key={one}
          type="button"
          aria-pressed={isOn(one)}
          className={clsx(
            'rounded border px-2 py-0.5',
            isOn(one)
              ? 'border-ink bg-ground font-semibold'
              : 'border-line text-steel hover:bg-bench',
          )}
          onClick={() =>
            set({ only: isOn(one) ? only.filter((other) => other !== one) : [...only, one] })
          }
        >
          {ONLY_WORDS[one]}
        </button>
      ))}
      <Select
        isNarrow
        aria-label="Kind of gearbox"
        value={type ?? ''}
        options={of('type')}
        nothing="Any gearbox"
        onChange={(value) => set({ type: value || null })}
      />
      <Select
        isNarrow
        aria-label="Family"
        value={family ?? ''}
        options={of('family')}
        nothing="Any family"
        onChange={(value) => set({ family: value || null })}
      />
      <Select
        isNarrow
        aria-label="Grouped by"
        value={group ?? ''}
        options={[
          { value: 'engine', words: 'By engine' },
          { value: 'transmission', words: 'By gearbox' },
        ]}
        nothing="Not grouped"
        onChange={(value) => onGroup(value || null)}
      />
      {count > 0 && (
        <button
          type="button"
          className="min-h-6 px-1 text-accent underline underline-offset-2"
          onClick={() => set({ only: [], family: null, type: null })}
        >
          Clear {count}
        </button>
      )}
      {!isDone && only.some((one) => WAITS.has(one)) && (
        <span className="text-steel">of those that are worked out</span>
      )}
    </span>
  )
}
