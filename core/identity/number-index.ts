import { groupBy } from '../group.ts'
import {
  type Application,
  type ApplicationClaim,
  type CountedNumber,
  type GenerationClaim,
  type InterchangeClaim,
  type Mark,
  type NumberClaim,
  type SupersessionClaim,
  TARGETS,
  type TargetKind,
  type Where,
  type WhereCondition,
  type WrittenNumber,
} from './claims.ts'
import { looksLike } from './looks-alike.ts'
import {
  DEFAULT_RULE,
  type FoundSuffix,
  isPlainRule,
  type NumberRule,
  readNumber,
} from './number-rule.ts'
import type { PathStep } from './path-step.ts'
import { gradeOf } from './strength.ts'
import { components } from './strong-components.ts'
import { weakComponents } from './weak-components.ts'
import { AskedFor } from './where.ts'

/** A mention of a number: which number it is, as it is spelled, with what of it does not decide. */
export interface Mention extends WrittenNumber {
  readonly at: number
  readonly quantity: number
  /** Suffixes that are told and do not decide. */
  readonly aside: readonly FoundSuffix[]
}

export interface NumberRow {
  readonly id: string
  readonly part: string
  readonly mention: Mention
  readonly strength: number
  readonly where: Where | undefined
}
export interface SupersessionRow {
  readonly id: string
  readonly old: readonly Mention[]
  readonly new: readonly Mention[]
  readonly back: 'yes' | 'no' | 'unsaid'
  readonly since: string | undefined
  readonly until: string | undefined
  readonly strength: number
  readonly where: Where | undefined
  /** Whether one of its old may be reached again from one of its new: whether it is so is asked on the day. */
  isOnRing: boolean
  /** One by one, plainly spelled, without where, day or ring. */
  isPlain: boolean
  /** How many of the first replaced count as how many of the first that replaces: beside the row, so that it is read at once. */
  readonly taken: number
  readonly given: number
  /** As a step of a path, made once it is asked for. */
  step: PathStep | null
}
export interface GroupMember {
  readonly mention: Mention
  readonly way: 'both' | 'serves' | 'served'
  readonly where: Where | undefined
}
export interface GroupRow {
  readonly id: string
  readonly members: readonly GroupMember[]
  readonly serves: boolean
  readonly strength: number
  readonly where: Where | undefined
}
export interface ApplicationRow {
  readonly id: string
  readonly mention: Mention
  readonly fits: boolean
  readonly strength: number
  readonly where: Where | undefined
}

/** Claims of numbers as they come, in any order. */
export interface NumberClaims {
  readonly issuers?: readonly { readonly id: string; readonly rule?: NumberRule | undefined }[]
  readonly numbers?: readonly NumberClaim[]
  readonly supersessions?: readonly SupersessionClaim[]
  readonly interchange?: readonly InterchangeClaim[]
  readonly applications?: readonly ApplicationClaim[]
  readonly generations?: readonly GenerationClaim[]
}

/** Numbers that every shop knows: trade item numbers and chassis numbers. */
export const BUILT_IN: Readonly<Record<string, NumberRule>> = {
  gtin: {
    ...DEFAULT_RULE,
    zeros: { pad: 14 },
    shapes: ['##############'],
    check: 'gtin',
  },
  vin: DEFAULT_RULE,
}

/** What is said of one number. */
export interface NumberNode {
  readonly issuer: string
  readonly key: string
  /** One of its spellings: the first by the alphabet, whatever order they come in. */
  spelled: string
  parts: readonly NumberRow[]
  /** Rows in which it is old, and new. */
  onward: readonly SupersessionRow[]
  backward: readonly SupersessionRow[]
  groups: readonly GroupRow[]
  applications: readonly ApplicationRow[]
  /** Some mention says that it is stamped or cast. */
  isWeak: boolean
  /** Parts that bear it. */
  partCount: number
}

const NOTHING: readonly never[] = []
/** What stands for a next number where a chain ends, and where it is not plain. */
export const ENDS = -1
export const NOT_PLAIN = -2
const plain = (word: string): string => word.trim().toLowerCase()

/** Claims of numbers put together by number, so that what serves for what is followed without searching. */
export class NumberIndex {
  readonly nodes: NumberNode[] = []
  readonly generations: readonly GenerationClaim[]
  /** Facts that some where or generation asks about. */
  readonly factKeys: ReadonlySet<string>
  readonly hasDenials: boolean
  /** By number, the one that the only row of it leads on to, where supersessions alone lead on and nothing is said against it. */
  readonly plainNext: Int32Array
  /** That row; null where there is none. */
  readonly plainRows: (SupersessionRow | null)[] = []
  /** By number, how many rows lead back from it; 2 for more. */
  readonly openBack: Uint8Array
  readonly #rules = new Map<string, NumberRule>()
  readonly #at = new Map<
    string,
    { readonly keys: Map<string, number>; readonly isPlain: boolean }
  >()
  readonly #partRows = new Map<string, NumberRow[]>()
  readonly #listed = new Map<string, ApplicationRow[]>()
  readonly #denied = new Map<string, ApplicationRow[]>()
  #lookAlikes: Map<string, number[]> | null = null
  #islands: Int32Array | null = null
  readonly #byIsland = new Map<readonly ApplicationRow[], Map<number | null, ApplicationRow[]>>()
  readonly #asked = new WeakMap<Application, AskedFor>()

  /** @throws RangeError where a row replaces several numbers by several */
  constructor(claims: NumberClaims) {
    for (const [id, rule] of Object.entries(BUILT_IN)) this.#rules.set(id, rule)
    for (const { id, rule } of claims.issuers ?? NOTHING)
      this.#rules.set(id, rule ?? this.#rules.get(id) ?? DEFAULT_RULE)
    for (const claim of claims.numbers ?? NOTHING) this.#addNumber(claim)
    for (const claim of claims.supersessions ?? NOTHING) this.#addSupersession(claim)
    for (const claim of claims.interchange ?? NOTHING) this.#addGroup(claim)
    for (const claim of claims.applications ?? NOTHING) this.#addApplication(claim)
    this.generations = claims.generations ?? NOTHING
    this.factKeys = factKeysOf(claims)
    for (const node of this.nodes) node.partCount = new Set(node.parts.map(({ part }) => part)).size
    this.#markRings()
    this.plainNext = new Int32Array(this.nodes.length)
    this.openBack = new Uint8Array(this.nodes.length)
    for (const [at, node] of this.nodes.entries()) this.#markPlain(at, node)
    this.hasDenials = this.nodes.some(
      ({ applications, groups, backward }) =>
        applications.some(({ fits }) => !fits) ||
        groups.some(({ serves }) => !serves) ||
        backward.some(({ back }) => back === 'no'),
    )
  }

  rule(issuer: string): NumberRule {
    return this.#rules.get(issuer) ?? DEFAULT_RULE
  }

  /** The place of a number that is spelled as its key, where that can be told without reading it; else null. */
  findSpelled(issuer: string, number: string): number | null {
    const own = this.#at.get(issuer)
    return own?.isPlain ? (own.keys.get(number) ?? null) : null
  }

  /** The place of a number; null where no claim names it. */
  find(issuer: string, key: string): number | null {
    return this.#at.get(issuer)?.keys.get(key) ?? null
  }

  /** Numbers that a part bears. */
  rowsOf(part: string): readonly NumberRow[] {
    return this.#partRows.get(part) ?? NOTHING
  }

  /** Rows that say of a number that it fits a family. */
  listedFor(kind: TargetKind, family: string): readonly ApplicationRow[] {
    return this.#listed.get(`${kind} ${plain(family)}`) ?? NOTHING
  }

  /** Those of them whose numbers are on given islands. */
  listedOn(
    kind: TargetKind,
    family: string,
    islands: Iterable<number | null>,
  ): readonly ApplicationRow[] {
    const rows = this.listedFor(kind, family)
    const held = this.#byIsland.get(rows)
    const byIsland = held ?? groupBy(rows, ({ mention }) => this.island(mention.at))
    if (!held) this.#byIsland.set(rows, byIsland)
    return [...islands].flatMap((island) => byIsland.get(island) ?? [])
  }

  /** What a number is asked for: reckoned once for all questions about the same. */
  askedFor(application: Application): AskedFor {
    let asked = this.#asked.get(application)
    if (!asked) this.#asked.set(application, (asked = new AskedFor(application, this.generations)))
    return asked
  }

  /** Rows that say of a number that it does not fit a family. */
  deniedFor(kind: TargetKind, family: string): readonly ApplicationRow[] {
    return this.#denied.get(`${kind} ${plain(family)}`) ?? NOTHING
  }

  /** Numbers of the same issuer that are easily mistaken for this one. */
  lookAlikes(issuer: string, key: string): readonly NumberNode[] {
    if (!this.#lookAlikes) {
      this.#lookAlikes = new Map()
      for (const [at, node] of this.nodes.entries()) {
        const like = `${node.issuer}\n${looksLike(node.key)}`
        const held = this.#lookAlikes.get(like)
        if (held) held.push(at)
        else this.#lookAlikes.set(like, [at])
      }
    }
    return (this.#lookAlikes.get(`${issuer}\n${looksLike(key)}`) ?? NOTHING)
      .map((at) => this.nodes[at]!)
      .filter((node) => node.key !== key)
      .sort((p, q) => (p.key < q.key ? -1 : 1))
  }

  /** Whether two are one number: of the same issuer, with the same key. */
  isSame(one: WrittenNumber, other: WrittenNumber): boolean {
    return one.issuer === other.issuer && this.read(one).key === this.read(other).key
  }

  /** What stands for all numbers that rows of any kind join, whatever they say; null for one that no claim names. */
  island(at: number): number | null {
    if (at >= this.nodes.length) return null
    this.#islands ??= weakComponents(this.nodes.length, this.#joined())
    return this.#islands[at]!
  }

  *#joined(): Generator<readonly number[]> {
    for (const rows of this.#partRows.values()) yield rows.map(({ mention }) => mention.at)
    for (const { onward, groups } of this.nodes) {
      for (const row of onward) yield [...row.old, ...row.new].map(({ at }) => at)
      for (const { members } of groups) yield members.map(({ mention }) => mention.at)
    }
  }

  /** Whether nothing leads from or to a number: no row, and at most one part that bears no other. */
  isLone(one: WrittenNumber): boolean {
    const at = this.find(one.issuer, this.read(one).key)
    if (at === null) return true
    const { parts, onward, backward, groups, applications } = this.nodes[at]!
    return (
      onward.length + backward.length + groups.length + applications.length === 0 &&
      parts.every(({ part }) => this.#partRows.get(part)!.length === 1)
    )
  }

  /** A number as its issuer writes it, without a place of its own. */
  read({ issuer, number }: WrittenNumber): { key: string; aside: readonly FoundSuffix[] } {
    const { key, suffixes } = readNumber(number, this.rule(issuer))
    return {
      key,
      aside: suffixes.length === 0 ? NOTHING : suffixes.filter(({ decides }) => !decides),
    }
  }

  #mention(written: CountedNumber): Mention {
    const { issuer, number, quantity = 1 } = written
    const { key, aside } = this.read(written)
    let own = this.#at.get(issuer)
    if (!own)
      this.#at.set(issuer, (own = { keys: new Map(), isPlain: isPlainRule(this.rule(issuer)) }))
    let at = own.keys.get(key)
    if (at === undefined) {
      at = this.nodes.length
      own.keys.set(key, at)
      this.nodes.push({
        issuer,
        key,
        spelled: number,
        parts: NOTHING,
        onward: NOTHING,
        backward: NOTHING,
        groups: NOTHING,
        applications: NOTHING,
        isWeak: false,
        partCount: 0,
      })
    }
    const node = this.nodes[at]!
    if (number < node.spelled) node.spelled = number
    return { issuer, number, at, quantity, aside }
  }

  #addNumber(claim: NumberClaim): void {
    const mention = this.#mention(claim)
    const node = this.nodes[mention.at]!
    if (isWeakMark(claim.mark)) node.isWeak = true
    const row: NumberRow = {
      id: claim.id,
      part: claim.part,
      mention,
      strength: gradeOf(claim.grade),
      where: claim.where,
    }
    node.parts = more(node.parts, row)
    const rows = this.#partRows.get(claim.part)
    if (rows) rows.push(row)
    else this.#partRows.set(claim.part, [row])
  }

  #addSupersession(claim: SupersessionClaim): void {
    if (claim.old.length !== 1 && claim.new.length !== 1)
      throw new RangeError(
        `Supersession ${claim.id} replaces several numbers by several: write one row for each that is replaced, or for each that replaces.`,
      )
    const old = claim.old.map((one) => this.#mention(one))
    const successors = claim.new.map((one) => this.#mention(one))
    const row: SupersessionRow = {
      id: claim.id,
      old,
      new: successors,
      taken: old[0]?.quantity ?? 1,
      given: successors[0]?.quantity ?? 1,
      back: claim.back ?? 'unsaid',
      since: claim.since,
      until: claim.until,
      strength: gradeOf(claim.grade),
      where: claim.where,
      isOnRing: false,
      isPlain: false,
      step: null,
    }
    for (const { at } of row.old) {
      const node = this.nodes[at]!
      node.onward = more(node.onward, row)
    }
    for (const { at } of row.new) {
      const node = this.nodes[at]!
      node.backward = more(node.backward, row)
    }
  }

  #addGroup(claim: InterchangeClaim): void {
    const row: GroupRow = {
      id: claim.id,
      members: claim.members.map((member) => ({
        mention: this.#mention(member),
        way: member.way ?? 'both',
        where: member.where,
      })),
      serves: claim.serves !== 'no',
      strength: gradeOf(claim.grade),
      where: claim.where,
    }
    for (const at of new Set(row.members.map(({ mention }) => mention.at))) {
      const node = this.nodes[at]!
      node.groups = more(node.groups, row)
    }
  }

  #addApplication(claim: ApplicationClaim): void {
    const row: ApplicationRow = {
      id: claim.id,
      mention: this.#mention(claim),
      fits: claim.fits !== 'no',
      strength: gradeOf(claim.grade),
      where: claim.where,
    }
    const node = this.nodes[row.mention.at]!
    node.applications = more(node.applications, row)
    const by = row.fits ? this.#listed : this.#denied
    for (const kind of TARGETS) {
      const named = claim.where?.targets?.[kind]
      if (!named) continue
      const key = `${kind} ${plain(named.family)}`
      const held = by.get(key)
      if (held) held.push(row)
      else by.set(key, [row])
    }
  }

  /** Rows whose new and old lie on one ring, whatever the day. */
  #markRings(): void {
    const component = components(this.nodes.length, (at) =>
      this.nodes[at]!.onward.flatMap((row) => row.new.map((one) => one.at)),
    )
    for (const { onward } of this.nodes)
      for (const row of onward)
        if (row.old.some((p) => row.new.some((q) => component[p.at] === component[q.at])))
          row.isOnRing = true
  }

  #markPlain(at: number, node: NumberNode): void {
    const isPlain =
      !node.isWeak &&
      node.partCount < 2 &&
      node.groups.length === 0 &&
      node.applications.every(({ fits }) => fits) &&
      node.parts.every(({ part }) => this.#partRows.get(part)!.length === 1)
    for (const row of node.onward)
      row.isPlain =
        !row.isOnRing &&
        row.where === undefined &&
        row.since === undefined &&
        row.until === undefined &&
        row.old.length === 1 &&
        row.new.length === 1 &&
        row.old[0]!.aside.length + row.new[0]!.aside.length === 0
    const [on, other] = node.onward
    this.plainNext[at] =
      !isPlain || other || (on && !on.isPlain) ? NOT_PLAIN : on ? on.new[0]!.at : ENDS
    this.plainRows.push(on ?? null)
    this.openBack[at] = Math.min(2, node.backward.filter(({ back }) => back !== 'no').length)
  }
}

function factKeysOf(claims: NumberClaims): ReadonlySet<string> {
  const keys = new Set<string>()
  const add = (conditions: readonly WhereCondition[] | undefined): void => {
    for (const { key } of conditions ?? NOTHING) keys.add(key)
  }
  for (const rows of [
    claims.numbers,
    claims.supersessions,
    claims.interchange,
    claims.applications,
  ])
    for (const { where } of rows ?? NOTHING) add(where?.conditions)
  for (const { members } of claims.interchange ?? NOTHING)
    for (const { where } of members) add(where?.conditions)
  for (const { conditions } of claims.generations ?? NOTHING) add(conditions)
  return keys
}

/** One more row: most numbers have one of a kind or none, and share the empty list. */
function more<R>(rows: readonly R[], row: R): readonly R[] {
  if (rows.length === 0) return [row]
  ;(rows as R[]).push(row)
  return rows
}

/** Whether many parts may bear a number that was read so. */
export const isWeakMark = (mark: Mark | undefined): boolean => mark === 'stamped' || mark === 'cast'
