import { type Grade, strength } from './grade.ts'

/** One value of one field and where it came from. Values are in stored units (mm, N·m, kg, degrees, rev/min). */
export interface Claim {
  readonly id: string
  readonly value: unknown
  /** Bound on the value in stored units; absent = the method's or the field kind's default. */
  readonly plusMinus?: number
  readonly grade: Grade
  readonly method?: string
  readonly source?: string
  readonly by?: string
  /** ISO date. */
  readonly on?: string
  /** The specimen it was taken on; absent = one like it, or the type in general. */
  readonly specimen?: string
  /** What the person wrote. */
  readonly typed?: string
}

export interface ChosenClaim {
  readonly claim: Claim
  /** ± after defaults; Infinity when unknown. */
  readonly pm: number
  readonly conflict: boolean
}

const byHand = (grade: Grade): boolean => grade === 'measured' || grade === 'fitted'

/** 0: this very part, measured or fitted; 1: maker, or measured or fitted on one like it; 2: the rest. */
function tier(claim: Claim, specimen: string | undefined): number {
  if (byHand(claim.grade)) return specimen !== undefined && claim.specimen === specimen ? 0 : 1
  return claim.grade === 'maker' ? 1 : 2
}

/**
 * Chooses the claim a check leans on: this very part first, then maker or measured on one like it;
 * within each the smallest ± after defaults, then the strongest grade, the newest, the one entered last (ids rise with
 * time). A disagreement beyond the sum of both ± is a conflict; claims without ±, and hearsay that states none, never
 * conflict.
 *
 * @param defaultPm ± of a claim that states none, Infinity when unknown
 * @param differ distance between two values in the field's unit (0 or Infinity for words)
 */
export function chooseClaim(
  claims: readonly Claim[],
  specimen: string | undefined,
  defaultPm: (claim: Claim) => number,
  differ: (a: unknown, b: unknown) => number,
): ChosenClaim | null {
  if (claims.length === 0) return null
  const ranked = claims
    .map((claim) => ({ claim, pm: claim.plusMinus ?? defaultPm(claim) }))
    .sort((one, other) => {
      for (const [, order] of ORDERS) {
        const first = order(one, other, specimen)
        if (first !== 0) return first
      }
      return 0
    })
  const best = ranked[0]!
  const conflict = ranked.some(
    (other) =>
      isSaidClosely(other.claim) &&
      isSaidClosely(best.claim) &&
      Number.isFinite(best.pm + other.pm) &&
      differ(best.claim.value, other.claim.value) > best.pm + other.pm + 1e-9,
  )
  return { ...best, conflict }
}

/** What somebody merely said has no ±, unless they said how closely. */
const isSaidClosely = ({ grade, plusMinus }: Claim): boolean =>
  plusMinus !== undefined || strength(grade) > strength('heard')

interface Held {
  readonly claim: Claim
  readonly pm: number
}
/** What is looked at, in turn, until one claim comes before the other. */
const ORDERS: readonly (readonly [
  why: string,
  order: (a: Held, b: Held, specimen: string | undefined) => number,
])[] = [
  [
    'it was taken on this very part, or comes from nearer to it',
    (a, b, specimen) => tier(a.claim, specimen) - tier(b.claim, specimen),
  ],
  ['it is known more closely', (a, b) => compare(a.pm, b.pm)],
  ['its evidence is stronger', (a, b) => strength(b.claim.grade) - strength(a.claim.grade)],
  ['it is newer', (a, b) => compare(b.claim.on ?? '', a.claim.on ?? '')],
  ['it was entered later', (a, b) => compare(b.claim.id, a.claim.id)],
]

/** Why of two claims on one field the first is used and not the second, in words. */
export function whyBefore(
  used: Claim,
  other: Claim,
  specimen: string | undefined,
  defaultPm: (claim: Claim) => number,
): string {
  const held = (claim: Claim): Held => ({ claim, pm: claim.plusMinus ?? defaultPm(claim) })
  const found = ORDERS.find(([, order]) => order(held(used), held(other), specimen) < 0)
  return found?.[0] ?? 'they say the same'
}

const compare = <T extends number | string>(a: T, b: T): number => (a < b ? -1 : a > b ? 1 : 0)
