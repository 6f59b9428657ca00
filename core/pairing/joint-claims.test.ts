import { expect, test } from 'vitest'
import type { Code } from '../joints/code.ts'
import type { Verdict } from '../joints/verdict.ts'
import { GRADES } from '../quantity/grade.ts'
import { hearClaims, type JointClaim, type Spoken } from './joint-claims.ts'
import type { JointResult } from './pairing.ts'
import { isStopper, STOPPERS } from './stoppers.ts'

const verdict = (code: Code, damageOpen = false): Verdict =>
  ({ code, limits: damageOpen ? [{ damage: true, code: 'unmeasured' }] : [] }) as unknown as Verdict
const joint = (bare: Verdict, closed?: Verdict): JointResult => ({
  id: 'depth:e:t',
  joint: 'depth',
  a: 'e',
  b: 't',
  bare,
  ...(closed ? { closed } : {}),
})
const claim = (rest: Partial<JointClaim>): JointClaim => ({
  id: 'c',
  subject: 'joint',
  joint: 'depth',
  engineId: 'e',
  transmissionId: 't',
  engineFamily: null,
  transmissionFamily: null,
  kitId: null,
  says: 'yes',
  grade: 'heard',
  ...rest,
})
const spoken: Spoken = {
  engineId: 'e',
  transmissionId: 't',
  engineFamily: 'P',
  transmissionFamily: 'Q',
  kitsInRun: new Set(),
}
const hear = (result: JointResult, claims: readonly JointClaim[], more: Partial<Spoken> = {}) =>
  hearClaims(result, 'coupling', claims, { ...spoken, ...more })

test.each(GRADES)(
  'a claim graded %s answers what is unmeasured, at its own grade; a damage limit only when fitted',
  (grade) => {
    expect(hear(joint(verdict('unmeasured')), [claim({ grade })]).answer).toMatchObject({
      code: 'fits',
      evidence: grade,
      run: 'bare',
    })
    expect(hear(joint(verdict('unmeasured', true)), [claim({ grade })]).answer?.evidence).toBe(
      grade === 'fitted' ? 'fitted' : undefined,
    )
  },
)

test.each<[Code, 'yes' | 'no', boolean]>([
  ['fits', 'yes', false],
  ['work', 'yes', false],
  ['bridge', 'yes', true],
  ['clash', 'yes', true],
  ['fits', 'no', true],
  ['work', 'no', true],
  ['bridge', 'no', false],
  ['clash', 'no', false],
])(
  'where %s is computed it stands; a claim that says %s is a conflict: %s',
  (code, says, isConflict) => {
    const heard = hear(joint(verdict(code)), [claim({ says, grade: 'fitted' })])
    expect(heard.answer).toBeUndefined()
    expect(heard.conflicts.length).toBe(isConflict ? 1 : 0)
  },
)

test("a kit's claim answers only the closed run that holds the kit", () => {
  const advert = claim({ subject: 'kit', kitId: 'k', joint: null, grade: 'catalogue' })
  const result = joint(verdict('bridge'), verdict('unmeasured'))
  expect(hear(result, [advert]).answer).toBeUndefined()
  expect(hear(result, [advert], { kitsInRun: new Set(['k']) }).answer).toMatchObject({
    run: 'closed',
    evidence: 'catalogue',
  })
})

test('a claim is meant by part or by family, on its own joint only', () => {
  const open = joint(verdict('unmeasured'))
  const families = {
    engineId: null,
    transmissionId: null,
    engineFamily: 'P',
    transmissionFamily: 'Q',
  }
  expect(hear(open, [claim(families)]).answer).toBeDefined()
  for (const other of [
    { ...families, engineFamily: 'R' },
    { engineId: 'x' },
    { transmissionId: 'x' },
    { joint: 'torque' },
  ])
    expect(hear(open, [claim(other)]).answer).toBeUndefined()
})

test('a claim on the coupling as a whole says nothing of the vehicle; a finished build does', () => {
  const open = joint(verdict('unmeasured'))
  expect(hearClaims(open, 'vehicle', [claim({ joint: null })], spoken).answer).toBeUndefined()
  expect(
    hearClaims(open, 'vehicle', [claim({ joint: null, subject: 'build' })], spoken).answer,
  ).toBeDefined()
})

test('of several the strongest grade answers', () => {
  const heard = hear(joint(verdict('unmeasured')), [
    claim({ id: 'a' }),
    claim({ id: 'b', grade: 'maker' }),
    claim({ id: 'c', grade: 'catalogue' }),
  ])
  expect(heard.answer?.claim.id).toBe('b')
})

test('there are twelve stopper questions, each with what a no means and how to find out', () => {
  expect(STOPPERS.length).toBe(12)
  for (const { id, question, no, find } of STOPPERS)
    expect(isStopper(id) && question.includes('?') && no.length > 0 && find.length > 0).toBe(true)
})
