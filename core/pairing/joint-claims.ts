import type { Code } from '../joints/code.ts'
import type { Verdict } from '../joints/verdict.ts'
import { type Grade, strength } from '../quantity/grade.ts'
import type { JointResult } from './pairing.ts'

/** What somebody says of a joint, a kit or a whole finished build, with how it is known. */
export interface JointClaim {
  readonly id: string
  readonly subject: 'joint' | 'kit' | 'build'
  /** The joint spoken of; null: every joint of the coupling. */
  readonly joint: string | null
  /** The two parts by id, or by their pattern families. */
  readonly engineId: string | null
  readonly transmissionId: string | null
  readonly engineFamily: string | null
  readonly transmissionFamily: string | null
  /** The kit that joins them. */
  readonly kitId: string | null
  readonly says: 'yes' | 'no'
  readonly grade: Grade
}

/** The pairing a claim is held against. */
export interface Spoken {
  readonly engineId: string
  readonly transmissionId: string
  readonly engineFamily: string | null
  readonly transmissionFamily: string | null
  /** Kits of which every coupling or inserted piece stands in the closed run. */
  readonly kitsInRun: ReadonlySet<string>
}

export interface Answer<C extends JointClaim = JointClaim> {
  readonly run: 'bare' | 'closed'
  readonly code: Extract<Code, 'fits'>
  readonly evidence: Grade
  readonly claim: C
}

export interface Heard<C extends JointClaim = JointClaim> {
  /** The claim that answers, where the computed code is unmeasured; the computed verdict stays beside it. */
  readonly answer?: Answer<C>
  /** Claims the computed code contradicts: something to look at, never an answer. */
  readonly conflicts: readonly C[]
}

const isMeant = (claim: JointClaim, joint: JointResult, spoken: Spoken): boolean => {
  if (claim.joint !== null && claim.joint !== joint.joint) return false
  const engine =
    claim.engineId !== null
      ? claim.engineId === spoken.engineId
      : claim.engineFamily !== null && claim.engineFamily === spoken.engineFamily
  const transmission =
    claim.transmissionId !== null
      ? claim.transmissionId === spoken.transmissionId
      : claim.transmissionFamily !== null && claim.transmissionFamily === spoken.transmissionFamily
  return engine && transmission
}

/** A limit that would break something if wrong, and is not settled. */
const isDamageOpen = (verdict: Verdict): boolean =>
  verdict.limits.some((limit) => limit.damage && limit.code === 'unmeasured')

/**
 * What claims on a joint as a whole say beside its computed verdict. A claim answers only where the computed code is
 * unmeasured and no damage limit is open (fitted answers those too); a kit's claim only the run that holds the kit;
 * a finished build's claim the run shown. Elsewhere the computed code stands, and a claim that disagrees is a conflict
 * to look at. The strongest grade answers; ties by id.
 *
 * @param place where the joint stands: a claim without a joint speaks of the coupling only, a finished build of both
 */
export function hearClaims<C extends JointClaim>(
  joint: JointResult,
  place: 'coupling' | 'vehicle',
  claims: readonly C[],
  spoken: Spoken,
): Heard<C> {
  const conflicts: C[] = []
  let answer: Answer<C> | undefined
  for (const claim of claims) {
    if (
      !isMeant(claim, joint, spoken) ||
      (claim.joint === null && claim.subject !== 'build' && place !== 'coupling')
    )
      continue
    const run = claim.subject === 'joint' || !joint.closed ? 'bare' : 'closed'
    if (claim.subject === 'kit' && (claim.kitId === null || !spoken.kitsInRun.has(claim.kitId)))
      continue
    const verdict = run === 'closed' ? joint.closed! : joint.bare
    const agrees = verdict.code === 'fits' || verdict.code === 'work'
    if (verdict.code !== 'unmeasured') {
      if (agrees !== (claim.says === 'yes')) conflicts.push(claim)
      continue
    }
    if (claim.says === 'no' || (isDamageOpen(verdict) && claim.grade !== 'fitted')) continue
    const isStronger =
      !answer ||
      strength(claim.grade) > strength(answer.claim.grade) ||
      (claim.grade === answer.claim.grade && claim.id < answer.claim.id)
    if (isStronger) answer = { run, code: 'fits', evidence: claim.grade, claim }
  }
  return { conflicts, ...(answer ? { answer } : {}) }
}
