import type { FieldWords } from '../../ports/field.ts'
import { PORT_KINDS, type PortKindName } from '../../ports/index.ts'
import type { JointContext } from '../joint.ts'
import { SLOTS, type Slot, type SlotOf } from '../side.ts'

/** What a check may read of the shop and the build beside its ports. */
export type Shop = Omit<JointContext, 'stack'>

/** Whether a port is there at all decides nothing about measurements: it is known once the train is put together. */
export type Head = 'named' | 'slot' | 'present'

export type Source =
  | {
      readonly at: 'side'
      readonly side: 'a' | 'b'
      readonly slot: Slot
      readonly kind: PortKindName
      readonly field: string
    }
  | { readonly at: 'head'; readonly side: 'a' | 'b'; readonly slot: Slot; readonly head: Head }
  /** A field, or the slot, of the rating repeated over. */
  | { readonly at: 'each'; readonly kind: PortKindName; readonly field: string }
  /** The entry repeated over of a list that is one field. */
  | { readonly at: 'item'; readonly of: Read }
  /** Σ of signed lengths. */
  | { readonly at: 'sum'; readonly terms: readonly Term[] }
  /** Σ over the plates or spacers between. */
  | { readonly at: 'stack'; readonly kind: 'plate' | 'spacer'; readonly field: string }
  /** Worked out of other reads: a figure several limits lean on. */
  | { readonly at: 'computed'; readonly measure: Computed }
  | { readonly at: 'known'; readonly of: Read }
  /** Strength of the strongest evidence it leans on; −1 where nothing of it is known. */
  | { readonly at: 'strongest'; readonly of: Read }
  /** The first where it is known, else the second. */
  | { readonly at: 'either'; readonly one: Read; readonly other: Read }

/** One value a limit may read, by where it is found. `T` is what it holds. */
export interface Read<T = any> {
  readonly source: Source
  /** Unknown, it is this, and the limit is judged all the same. */
  readonly else?: T
  /** Read raw: never asked for, and its grade weakens nothing. */
  readonly isAside?: true
  /** Read only where all of these hold; elsewhere it is `absent` and not there. */
  readonly only?: readonly Gate[]
  readonly absent?: T
  /** What it holds; only for types. */
  readonly holds?: T
}

/** A figure of other reads that rises (1) or falls (−1) with each number it reads. */
export interface Computed {
  readonly reads: Readonly<Record<string, Read>>
  readonly of: (x: any, shop: Shop) => number
  readonly sense: Readonly<Record<string, 1 | -1 | 0>>
  /** Where a word leaves a figure open: its own least and greatest, beside what its numbers add. */
  readonly open?: (x: any, shop: Shop) => readonly [number, number]
}

/** One signed length of a sum. */
export interface Term {
  readonly sign: 1 | -1
  readonly of: Read<number>
}

/** Holds of the train as put together, of the build, or of a word somebody stated. */
export type Gate =
  | { readonly word: Read<string | null>; readonly in: readonly string[] }
  | {
      readonly side: 'a' | 'b'
      readonly slot: Slot
      readonly head: Head
      readonly is: string | boolean
      /** Holds where it is anything else. */
      readonly isNot?: true
    }
  | { readonly shop: (shop: Shop) => boolean }

type FieldsOf<K extends PortKindName> = (typeof PORT_KINDS)[K]['fields']
type ReadsOf<K extends PortKindName> = {
  readonly [F in keyof FieldsOf<K>]: FieldsOf<K>[F] extends FieldWords<infer T> ? Read<T> : never
}
type PortReads<K extends PortKindName> = ReadsOf<K> & {
  readonly named: Read<boolean>
  readonly slot: Read<string>
  readonly present: Read<boolean>
}
type SideReads = { readonly [K in Exclude<PortKindName, 'ratings'> as SlotOf<K>]: PortReads<K> }

const HEADS = ['named', 'slot', 'present'] as const

function readsOfSide(side: 'a' | 'b'): SideReads {
  return Object.fromEntries(
    Object.entries(SLOTS).map(([kind, slot]) => [
      slot,
      Object.fromEntries([
        ...Object.keys(PORT_KINDS[kind as PortKindName].fields).map((field) => [
          field,
          { source: { at: 'side', side, slot, kind, field } },
        ]),
        ...HEADS.map((head) => [head, { source: { at: 'head', side, slot, head } }]),
      ]),
    ]),
  ) as unknown as SideReads
}

/** Everything on the engine's side, and on the gearbox's. */
export const a = readsOfSide('a')
export const b = readsOfSide('b')

/** The rating repeated over. */
export const rating = Object.fromEntries(
  [...Object.keys(PORT_KINDS.ratings.fields), 'slot'].map((field) => [
    field,
    { source: { at: 'each', kind: 'ratings', field } },
  ]),
) as unknown as ReadsOf<'ratings'> & { readonly slot: Read<string> }

/** Σ of the plates between block and bell, B; and of the spacers on the crank. */
export const plates: Read<number> = { source: { at: 'stack', kind: 'plate', field: 'thicknessMm' } }
export const spacers: Read<number> = {
  source: { at: 'stack', kind: 'spacer', field: 'thicknessMm' },
}

/** Σ of signed lengths as one value of a formula; their ± add. */
export const total = (terms: readonly Term[]): Read<number> => ({ source: { at: 'sum', terms } })

/** Whether a field is known. */
export const known = (of: Read): Read<boolean> => ({ source: { at: 'known', of }, isAside: true })
/** How strong the strongest evidence is that a read leans on; −1 where nothing of it is known. */
export const strongest = (of: Read): Read<number> => ({
  source: { at: 'strongest', of },
  isAside: true,
})
/** The first where it is known, else the second. */
export const either = <T>(one: Read<T>, other: Read<T>): Read<T> => ({
  source: { at: 'either', one, other },
})
/** Optional: unknown, it is `value`. */
export const orElse = <T>(read: Read<T>, value: T): Read<T> => ({ ...read, else: value })
/** Read raw: never asked for, its grade weakens nothing. */
export const aside = <T>(read: Read<T>): Read<T> => ({ ...read, isAside: true })
/** The entry repeated over of a list. */
export const item = <E>(of: Read<readonly E[] | null>): Read<E> => ({ source: { at: 'item', of } })

const gated = <T>(read: Read<T>, gate: Gate, absent?: T): Read<T> => ({
  ...read,
  only: [...(read.only ?? []), gate],
  ...(absent === undefined ? {} : { absent }),
})
/** Read only where a port is as said; elsewhere it is `absent`, 0 unless stated, and not there. */
export const where = <T>(
  head: Read<boolean> | Read<string>,
  is: string | boolean,
  read: Read<T>,
  absent?: T,
): Read<T> => {
  const { source } = head
  if (source.at !== 'head')
    throw new TypeError('A gate looks at whether a port is named, present, or at its slot.')
  return gated(read, { side: source.side, slot: source.slot, head: source.head, is }, absent)
}
/** Read only where a port is not as said; elsewhere it is `absent`, 0 unless stated, and not there. */
export const unless = <T>(
  { source }: Read<boolean> | Read<string>,
  is: string | boolean,
  read: Read<T>,
  absent?: T,
): Read<T> => {
  if (source.at !== 'head')
    throw new TypeError('A gate looks at whether a port is named, present, or at its slot.')
  return gated(
    read,
    { side: source.side, slot: source.slot, head: source.head, is, isNot: true },
    absent,
  )
}
/** Read only where a word is one of these. */
export const whereSaid = <T>(
  word: Read<string | null>,
  among: readonly string[],
  read: Read<T>,
  absent?: T,
): Read<T> => gated(read, { word: aside(word), in: among }, absent)
/** Read only where the gearbox stays on its crossmember, or only where the engine sits on its mounts. */
export const kept = <T>(read: Read<T>): Read<T> =>
  gated(read, { shop: (shop) => shop.placement !== 'set-back' })
export const setBack = <T>(read: Read<T>): Read<T> =>
  gated(read, { shop: (shop) => shop.placement === 'set-back' })

/** Every field of a port a read may come to, `kind` and `field`; none for what is not a field. */
export function fieldsRead({
  source,
}: Read): readonly { readonly kind: PortKindName; readonly field: string }[] {
  switch (source.at) {
    case 'side':
    case 'stack':
      return [source]
    case 'each':
      return source.field === 'slot' ? [] : [source]
    case 'item':
      return fieldsRead(source.of)
    case 'sum':
      return source.terms.flatMap(({ of }) => fieldsRead(of))
    case 'computed':
      return Object.values(source.measure.reads).flatMap(fieldsRead)
    case 'either':
      return [...fieldsRead(source.one), ...fieldsRead(source.other)]
    case 'known':
    case 'strongest':
    case 'head':
      return []
  }
}
