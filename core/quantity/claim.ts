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
 * within each the smallest ± after defaults, then the strongest grade, the newest, the id.
 * A disagreement beyond the sum of both ± is a conflict; claims without ± never conflict.
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
    .sort(
      (a, b) =>
        tier(a.claim, specimen) - tier(b.claim, specimen) ||
        compare(a.pm, b.pm) ||
        strength(b.claim.grade) - strength(a.claim.grade) ||
        compare(b.claim.on ?? '', a.claim.on ?? '') ||
        compare(a.claim.id, b.claim.id),
    )
  const best = ranked[0]!
  const conflict = ranked.some(
    (other) =>
      Number.isFinite(best.pm + other.pm) &&
      differ(best.claim.value, other.claim.value) > best.pm + other.pm + 1e-9,
  )
  return { ...best, conflict }
}

const compare = <T extends number | string>(a: T, b: T): number => (a < b ? -1 : a > b ? 1 : 0)
