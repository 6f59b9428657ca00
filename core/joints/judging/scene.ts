import type { Field } from '../../ports/field.ts'
import type { AnyPort, CompiledPart } from '../../ports/index.ts'
import type { Side } from '../side.ts'
import type { Computed, Head, Read, Shop, Term } from './read.ts'

/** Where reads are looked up: the two sides of one meeting, what stands between, and what a limit repeats over. */
export interface Scene {
  readonly a: Side
  readonly b: Side
  readonly stack: readonly CompiledPart[]
  readonly shop: Shop
  readonly each: AnyPort | null
  readonly item: unknown
}

/** A read looked up. A field is one as it stands; null for the claim where it is not known. */
export interface Input {
  readonly v: any
  readonly pm: number
  readonly grade: number
  readonly claim: string | null
  /** Of a computed value: the least and the greatest it may be. */
  readonly ends?: readonly [number, number]
}

/** No grade is weaker than this: it leans on nothing. */
export const NO_GRADE = 6
const plain = (v: unknown): Input => ({ v, pm: 0, grade: NO_GRADE, claim: 'here' })
/** A read that is not there adds nothing. */
const ABSENT = plain(0)
const TRUE = plain(true)
const FALSE = plain(false)

export const portAt = (scene: Scene, side: 'a' | 'b', slot: string): AnyPort =>
  (scene[side] as unknown as Record<string, AnyPort>)[slot]!
const fieldOf = (port: AnyPort, name: string): Field<unknown> =>
  (port as unknown as Record<string, Field<unknown>>)[name]!
export const fieldAt = (
  scene: Scene,
  {
    side,
    slot,
    field,
  }: { readonly side: 'a' | 'b'; readonly slot: string; readonly field: string },
): Field<unknown> => fieldOf(portAt(scene, side, slot), field)

const headOf = (port: AnyPort, head: Head): string | boolean =>
  head === 'named' ? port.part !== '?' : head === 'slot' ? port.slot : port.present

/** Which of what is summed counts: all of it, or one half's share. */
export interface Share {
  readonly has: (read: Read) => boolean
  readonly hasPart: (index: number) => boolean
}

/** The thicknesses of the plates or spacers between, in order. */
function stackFields(
  { stack }: Pick<Scene, 'stack'>,
  kind: 'plate' | 'spacer',
  field: string,
  share?: Share,
): Field<number>[] {
  if (stack.length === 0) return []
  return stack.flatMap((part, index) =>
    share === undefined || share.hasPart(index)
      ? part.ports
          .filter((port) => port.kind === kind)
          .map((port) => fieldOf(port, field) as Field<number>)
      : [],
  )
}

/** True where a read is there at all in this train and build. */
function isThere({ only }: Read, scene: Scene): boolean {
  if (!only) return true
  for (const gate of only) {
    if ('shop' in gate) {
      if (!gate.shop(scene.shop)) return false
    } else if ('word' in gate) {
      if (!gate.in.includes(lookUp(gate.word, scene).v)) return false
    } else if (
      (headOf(portAt(scene, gate.side, gate.slot), gate.head) === gate.is) ===
      (gate.isNot === true)
    )
      return false
  }
  return true
}

/** Looks a read up; of a sum, the share that counts. */
export function lookUp(read: Read, scene: Scene, share?: Share): Input {
  if (read.only && !isThere(read, scene)) return 'absent' in read ? plain(read.absent) : ABSENT
  const input = raw(read, scene, share)
  return input.claim === null && 'else' in read ? plain(read.else) : input
}

function raw({ source }: Read, scene: Scene, share?: Share): Input {
  switch (source.at) {
    case 'side':
      return fieldAt(scene, source)
    case 'head':
      return plain(headOf(portAt(scene, source.side, source.slot), source.head))
    case 'each':
      return source.field === 'slot' ? plain(scene.each!.slot) : fieldOf(scene.each!, source.field)
    case 'item': {
      const { pm, grade, claim } = lookUp(source.of, scene)
      return { v: scene.item, pm, grade, claim }
    }
    case 'stack':
      return sumOf(stackFields(scene, source.kind, source.field, share))
    case 'sum':
      return totalOf(source.terms, scene, share)
    case 'known':
      return lookUp(source.of, scene).claim === null ? FALSE : TRUE
    case 'strongest':
      return plain(
        leavesOf(source.of, scene).reduce(
          (most, { grade, claim }) => (claim === null ? most : Math.max(most, grade)),
          -1,
        ),
      )
    case 'computed':
      return computed(source.measure, scene)
    case 'either': {
      const one = lookUp(source.one, scene)
      return one.claim === null ? lookUp(source.other, scene) : one
    }
  }
}

function sumOf(fields: readonly Field<number>[]): Input {
  if (fields.length === 0) return ABSENT
  return {
    v: fields.reduce((sum, { v }) => sum + v, 0),
    pm: fields.reduce((sum, { pm }) => sum + pm, 0),
    grade: fields.reduce(
      (weakest, { grade, claim }) => (claim === null ? weakest : Math.min(weakest, grade)),
      NO_GRADE,
    ),
    claim: fields.some(({ claim }) => claim === null) ? null : 'sum',
  }
}

/** A computed value with every input at its bad end, either way. */
function computed({ reads, of, sense, open }: Computed, scene: Scene): Input {
  const x: Record<string, unknown> = {}
  const low: Record<string, unknown> = {}
  const high: Record<string, unknown> = {}
  let grade = NO_GRADE
  let claim: string | null = 'computed'
  for (const name in reads) {
    const read = reads[name]!
    const input = lookUp(read, scene)
    x[name] = input.v
    const by = (sense[name] ?? 0) * input.pm
    low[name] = atEnd(input.v, -by)
    high[name] = atEnd(input.v, by)
    if (read.isAside) continue
    if (input.claim === null) claim = null
    if (input.grade >= 0 && input.grade < grade) grade = input.grade
  }
  const v = of(x, scene.shop)
  const ends = open
    ? ([open(low, scene.shop)[0], open(high, scene.shop)[1]] as const)
    : ([of(low, scene.shop), of(high, scene.shop)] as const)
  return { v, pm: Math.max(v - ends[0], ends[1] - v), grade, claim, ends }
}

/** A value at one end of its ±. */
export function atEnd(v: unknown, by: number): unknown {
  if (by === 0 || Number.isNaN(by)) return v
  if (typeof v === 'number') return v + by
  // A list of figures moves whole.
  return Array.isArray(v) && typeof v[0] === 'number' ? v.map((entry: number) => entry + by) : v
}

function totalOf(terms: readonly Term[], scene: Scene, share: Share | undefined): Input {
  let v = 0
  let pm = 0
  let grade = NO_GRADE
  let claim: string | null = 'sum'
  for (const { sign, of } of terms) {
    if (share && !share.has(of)) continue
    const input = lookUp(of, scene, share)
    v += sign * input.v
    pm += input.pm
    if (input.claim === null) claim = null
    // A length that is known is leaned on, though another is not.
    if (input.grade >= 0 && input.grade < grade) grade = input.grade
  }
  return { v, pm, grade, claim }
}

/** The fields a read leans on and asks for: what is read aside, or is not there, asks for none. */
export const fieldsOf = (read: Read, scene: Scene): readonly Field<unknown>[] =>
  read.isAside ? [] : leavesOf(read, scene)

/** Every field a read comes to, asked for or not; of a sum, the share that counts. */
export function leavesOf(read: Read, scene: Scene, share?: Share): readonly Field<unknown>[] {
  if (!isThere(read, scene)) return []
  const { source } = read
  switch (source.at) {
    case 'side':
      return [fieldAt(scene, source)]
    case 'each':
      return source.field === 'slot' ? [] : [fieldOf(scene.each!, source.field)]
    case 'item':
      return leavesOf(source.of, scene)
    case 'known':
    case 'strongest':
      return share === undefined ? [] : leavesOf(source.of, scene)
    case 'stack':
      return stackFields(scene, source.kind, source.field, share)
    case 'sum':
      return source.terms.flatMap(({ of }) =>
        share && !share.has(of) ? [] : leavesOf(of, scene, share),
      )
    case 'computed':
      return Object.values(source.measure.reads).flatMap((one) =>
        one.isAside && share === undefined ? [] : leavesOf(one, scene, share),
      )
    case 'either':
      return leavesOf(lookUp(source.one, scene).claim === null ? source.other : source.one, scene)
    case 'head':
      return []
  }
}
