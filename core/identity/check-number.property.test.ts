import fc from 'fast-check'
import { expect, test } from 'vitest'
import { GRADES, strength } from '../quantity/grade.ts'
import { checkNumber, type NumberQuestion, PLANS } from './check-number.ts'
import type {
  ApplicationClaim,
  InterchangeClaim,
  NumberClaim,
  SupersessionClaim,
  Where,
} from './claims.ts'
import { type NumberClaims, NumberIndex } from './number-index.ts'
import { DEFAULT_RULE, type NumberRule, readNumber } from './number-rule.ts'
import { VERDICT_WORDS } from './steps.ts'
import { AskedFor } from './where.ts'

const RULE: NumberRule = {
  ...DEFAULT_RULE,
  shapes: ['@'],
  suffixes: [
    { kind: 'side', shapes: ['L', 'R'] },
    { kind: 'colour', shapes: ['-K', '-W'].map((one) => one.slice(1)) },
  ],
}

interface Tried {
  readonly code: number
  readonly strength: number
  readonly steps: number
  readonly missing: number
}
type Claims = Required<Omit<NumberClaims, 'issuers'>>

/** Every way there is, gone through one by one as the words say: what checkNumber must find the best of. */
function everyWay(claims: Claims, question: NumberQuestion): readonly Tried[] {
  const asked = new AskedFor(question.application ?? {}, claims.generations)
  const day = question.on
  const key = (number: string): string => readNumber(number, RULE).key
  const asides = (number: string): readonly { kind: string; text: string }[] =>
    readNumber(number, RULE).suffixes.filter(({ decides }) => !decides)
  const grade = (one: { grade?: string | undefined }): number =>
    strength((one.grade ?? 'heard') as (typeof GRADES)[number])
  const weak = new Set(
    [...claims.numbers, ...(question.want ?? []), ...question.have].flatMap(({ mark, number }) =>
      mark === 'stamped' || mark === 'cast' ? key(number) : [],
    ),
  )
  const partsOf = (number: string): Set<string> =>
    new Set(claims.numbers.flatMap((one) => (key(one.number) === number ? one.part : [])))
  const inForce = (row: SupersessionClaim): boolean =>
    (row.since === undefined || row.since <= day) && (row.until === undefined || row.until >= day)
  const raise = (where: Where | undefined): { code: number; strength: number } | null => {
    const answer = asked.where(where)
    if (answer.truth === 'fails') return null
    return {
      code:
        answer.truth === 'other generation'
          ? 4
          : answer.truth === 'unknown' || answer.todo.length > 0
            ? 3
            : 0,
      strength: answer.strength,
    }
  }
  const lives = (row: SupersessionClaim): boolean => inForce(row) && raise(row.where) !== null
  const isRing = (row: SupersessionClaim): boolean => {
    const seen = new Set(row.new.map(({ number }) => key(number)))
    for (const at of seen)
      for (const one of claims.supersessions)
        if (lives(one) && one.old.some(({ number }) => key(number) === at))
          for (const { number } of one.new) seen.add(key(number))
    return row.old.some(({ number }) => seen.has(key(number)))
  }
  interface On {
    readonly code: number
    readonly strength: number
    readonly to: readonly string[]
    readonly isGroup: boolean
  }
  const stepsFrom = (at: string, mayGroup: boolean): On[] => {
    const found: On[] = []
    const add = (
      code: number,
      row: { grade?: string | undefined },
      wheres: readonly (Where | undefined)[],
      to: readonly string[],
      isGroup = false,
      rowStrength = grade(row),
    ): void => {
      const raised = wheres.map(raise)
      if (raised.includes(null) || to.some((one) => key(one) === at)) return
      found.push({
        code: Math.max(
          code,
          ...raised.map((one) => one!.code),
          to.some((one) => weak.has(key(one))) ? 3 : 0,
        ),
        strength: Math.min(rowStrength, ...raised.map((one) => one!.strength)),
        to,
        isGroup,
      })
    }
    for (const own of claims.numbers)
      for (const other of claims.numbers)
        if (own.part === other.part && key(own.number) === at && key(other.number) !== at) {
          const isTwice = [at, key(other.number)].some(
            (one) => !weak.has(one) && partsOf(one).size > 1,
          )
          add(
            isTwice ? 6 : 0,
            own,
            [own.where, other.where],
            [other.number],
            false,
            Math.min(grade(own), grade(other)),
          )
        }
    if (question.follow === 'none') return found
    for (const row of claims.supersessions) {
      if (!inForce(row)) continue
      const [old, fresh] = [row.old, row.new].map((side) => side.map(({ number }) => number)) as [
        string[],
        string[],
      ]
      const code = isRing(row) ? 6 : 1
      if (old.some((one) => key(one) === at))
        add(Math.max(code, old.length > 1 ? 3 : 0), row, [row.where], fresh)
      if (row.back !== 'no' && fresh.some((one) => key(one) === at))
        add(Math.max(code, fresh.length > 1 || row.back !== 'yes' ? 3 : 0), row, [row.where], old)
    }
    if (question.follow === 'supersessions' || !mayGroup) return found
    for (const row of claims.interchange)
      if (
        row.serves !== 'no' &&
        row.members.some((one) => key(one.number) === at && one.way !== 'serves')
      )
        for (const member of row.members)
          if (member.way !== 'served') add(2, row, [row.where, member.where], [member.number], true)
    return found
  }
  interface Found extends Tried {
    readonly pairs: readonly (readonly [string, string])[]
    readonly ends: readonly string[]
  }
  const ways = (
    number: string,
    branch: readonly string[],
    mayGroup: boolean,
    isStart: boolean,
  ): Found[] => {
    const at = key(number)
    const pairs = branch.map((before) => [before, at] as const)
    const found: Found[] = question.have.flatMap((one): Found[] => {
      if (key(one.number) !== at) return []
      const own = asides(one.number)
      const differs = asides(number).some(
        ({ kind, text }) => !own.some((other) => other.kind === kind && other.text === text),
      )
      return [
        { code: differs ? 3 : 0, strength: grade(one), steps: 0, missing: 0, pairs, ends: [at] },
      ]
    })
    if (weak.has(at) && !isStart) return found
    const on = [...branch, at]
    for (const step of stepsFrom(at, mayGroup)) {
      if (step.to.some((one) => on.includes(key(one)))) continue
      const each = step.to.map((one) => ways(one, on, mayGroup && !step.isGroup, false))
      const combine = (
        lists: readonly (readonly Found[])[],
        code: number,
        missing: number,
      ): void => {
        let all: Found[] = [
          {
            code: Math.max(step.code, code),
            strength: step.strength,
            steps: 1,
            missing,
            pairs,
            ends: [],
          },
        ]
        for (const list of lists)
          all = all.flatMap((sum) =>
            list.map((one) => ({
              code: Math.max(sum.code, one.code),
              strength: Math.min(sum.strength, one.strength),
              steps: sum.steps + one.steps,
              missing: sum.missing + one.missing,
              pairs: [...sum.pairs, ...one.pairs],
              ends: [...sum.ends, ...one.ends],
            })),
          )
        found.push(...all)
      }
      if (each.length === 1) combine(each, 0, 0)
      else {
        const whole = each.map((list) => list.filter(({ missing }) => missing === 0))
        const served = whole.filter((list) => list.length > 0)
        if (served.length === whole.length) combine(whole, 0, 0)
        else if (served.length > 0) combine(served, 3, whole.length - served.length)
      }
    }
    return found
  }
  const denied = (
    claim: { grade?: string | undefined },
    wheres: readonly (Where | undefined)[],
    evidence: number,
  ): number => {
    const truths = wheres.map((where) => asked.where(where).truth)
    if (truths.some((truth) => truth === 'fails' || truth === 'other generation')) return 0
    return truths.every((truth) => truth === 'holds') && grade(claim) >= evidence ? 6 : 3
  }
  const starts = question.want?.length
    ? question.want.flatMap((one) => {
        const raised = raise(one.where)
        return raised
          ? [
              {
                number: one.number,
                code: raised.code,
                strength: Math.min(grade(one), raised.strength),
                steps: 0,
              },
            ]
          : []
      })
    : claims.applications.flatMap((one) => {
        const raised = raise(one.where)
        return one.fits !== 'no' && raised && asked.isNamedBy(one.where)
          ? [
              {
                number: one.number,
                code: raised.code,
                strength: Math.min(grade(one), raised.strength),
                steps: 1,
              },
            ]
          : []
      })
  return starts.flatMap((start) =>
    ways(start.number, [], true, true).map((way): Tried => {
      const evidence = Math.min(start.strength, way.strength)
      let code = Math.max(start.code, way.code, weak.has(key(start.number)) ? 3 : 0)
      for (const row of claims.applications)
        if (
          row.fits === 'no' &&
          asked.isNamedBy(row.where) &&
          [key(start.number), ...way.ends].includes(key(row.number))
        )
          code = Math.max(code, denied(row, [row.where], evidence))
      for (const [first, second] of way.pairs) {
        for (const row of claims.supersessions)
          if (
            row.back === 'no' &&
            inForce(row) &&
            row.new.some(({ number }) => key(number) === first) &&
            row.old.some(({ number }) => key(number) === second)
          )
            code = Math.max(code, denied(row, [row.where], evidence))
        for (const row of claims.interchange)
          if (
            row.serves === 'no' &&
            row.members.some((one) => key(one.number) === first && one.way !== 'serves')
          )
            for (const member of row.members)
              if (member.way !== 'served' && key(member.number) === second)
                code = Math.max(code, denied(row, [row.where, member.where], evidence))
      }
      return { code, strength: evidence, steps: start.steps + way.steps, missing: way.missing }
    }),
  )
}

const planOf = ({ code, strength: own, missing }: Tried): number =>
  missing > 0 || code > 3 ? 2 : code === 3 || own < strength('catalogue') ? 1 : 0

const number = fc
  .tuple(
    fc.constantFrom('A', 'B', 'C', 'D', 'E', 'F'),
    fc.constantFrom('', '', '', 'L'),
    fc.constantFrom('', '', '', 'K', 'W'),
  )
  .map(([core, side, colour]) => core + side + colour)
const grades = fc.constantFrom(
  undefined,
  'heard',
  'catalogue',
  'maker',
  'measured',
) as fc.Arbitrary<(typeof GRADES)[number] | undefined>
const generations = fc.option(fc.subarray(['one', 'two', 'three'], { minLength: 1 }), {
  nil: undefined,
})
const where: fc.Arbitrary<Where | undefined> = fc.option(
  fc.record(
    {
      targets: fc.record(
        {
          engine: fc.record({ family: fc.constantFrom('wick', 'wick', 'fen'), generations }),
          vehicle: fc.record({
            family: fc.constantFrom('packet', 'packet', 'other'),
            generations: fc.constant(undefined),
          }),
        },
        { requiredKeys: [] },
      ),
      conditions: fc.array(
        fc.oneof(
          fc.record({ key: fc.constant('market'), is: fc.constant(['north']) }),
          fc.record({ key: fc.constant('teeth'), from: fc.constantFrom(30, 40) }),
          fc.record({ key: fc.constant('gearbox'), not: fc.constant(['automatic']) }),
        ),
        { maxLength: 1 },
      ),
      from: fc.constantFrom('2001', '2003-06'),
      do: fc.constant(['read the plate']),
    },
    { requiredKeys: [] },
  ),
  { nil: undefined, freq: 2 },
)
const id = fc.integer({ min: 0, max: 999_999 }).map(String)
const side = (most: number) =>
  fc.uniqueArray(
    fc.record({ issuer: fc.constant('M'), number, quantity: fc.constantFrom(1, 1, 2) }),
    {
      minLength: 1,
      maxLength: most,
      selector: (one) => readNumber(one.number, RULE).key,
    },
  )
const supersession: fc.Arbitrary<SupersessionClaim> = fc
  .record({
    id,
    grade: grades,
    where,
    old: side(2),
    new: side(2),
    back: fc.constantFrom('yes', 'no', 'unsaid', undefined) as fc.Arbitrary<
      SupersessionClaim['back']
    >,
    since: fc.constantFrom(undefined, undefined, '2020-01-01', '2030-01-01'),
    until: fc.constantFrom(undefined, undefined, undefined, '2029-01-01', '2021-01-01'),
  })
  .map((one) =>
    one.old.length > 1 && one.new.length > 1 ? { ...one, new: one.new.slice(0, 1) } : one,
  )
const interchange: fc.Arbitrary<InterchangeClaim> = fc.record({
  id,
  grade: grades,
  where,
  serves: fc.constantFrom('yes', 'yes', 'no') as fc.Arbitrary<InterchangeClaim['serves']>,
  members: fc.uniqueArray(
    fc.record({
      issuer: fc.constant('M'),
      number,
      way: fc.constantFrom('both', 'both', 'serves', 'served') as fc.Arbitrary<
        InterchangeClaim['members'][number]['way']
      >,
      where,
    }),
    { minLength: 2, maxLength: 3, selector: (one) => readNumber(one.number, RULE).key },
  ),
})
const mark = fc.constantFrom(undefined, undefined, undefined, 'catalogue', 'cast') as fc.Arbitrary<
  NumberClaim['mark']
>
const claims: fc.Arbitrary<Claims> = fc.record({
  numbers: fc.array(
    fc.record({
      id,
      grade: grades,
      where,
      issuer: fc.constant('M'),
      number,
      part: fc.constantFrom('p', 'q', 'r'),
      mark,
    }),
    { maxLength: 4 },
  ),
  supersessions: fc.array(supersession, { maxLength: 6 }),
  interchange: fc.array(interchange, { maxLength: 3 }),
  applications: fc.array(
    fc.record({
      id,
      grade: grades,
      where,
      issuer: fc.constant('M'),
      number,
      fits: fc.constantFrom('yes', 'yes', 'no') as fc.Arbitrary<ApplicationClaim['fits']>,
    }),
    { maxLength: 4 },
  ),
  generations: fc.constant([]),
})
const question: fc.Arbitrary<NumberQuestion> = fc.record({
  want: fc.array(
    fc.record({
      issuer: fc.constant('M'),
      number,
      grade: grades,
      mark,
      where,
      quantity: fc.constantFrom(1, 3),
    }),
    {
      maxLength: 2,
    },
  ),
  have: fc.array(fc.record({ issuer: fc.constant('M'), number, grade: grades, mark }), {
    minLength: 1,
    maxLength: 3,
  }),
  application: fc.record({
    engine: fc.option(
      fc.record({
        family: fc.constant('wick'),
        generation: fc.constantFrom(undefined, 'one', 'two'),
        built: fc.constantFrom(undefined, '2003', '2004-02'),
        grade: grades,
      }),
      { nil: undefined },
    ),
    vehicle: fc.option(fc.record({ family: fc.constant('packet'), grade: grades }), {
      nil: undefined,
    }),
    facts: fc.record(
      {
        market: fc.record({ value: fc.constantFrom('north', 'south'), grade: grades }),
        teeth: fc.record({ value: fc.constantFrom(36, 20), grade: grades }),
      },
      { requiredKeys: [] },
    ),
  }),
  on: fc.constant('2026-06-01'),
  follow: fc.constantFrom('all', 'all', 'supersessions', 'none') as fc.Arbitrary<
    NumberQuestion['follow']
  >,
})
const indexOf = (all: Claims): NumberIndex =>
  new NumberIndex({ issuers: [{ id: 'M', rule: RULE }], ...all })

test('the answer is the best of all ways there are, gone through one by one; without any there is no path', () => {
  let withPath = 0
  fc.assert(
    fc.property(claims, question, (all, asked) => {
      const answer = checkNumber(indexOf(all), asked)
      const [best] = everyWay(all, asked).toSorted(
        (p, q) =>
          planOf(p) - planOf(q) || p.code - q.code || q.strength - p.strength || p.steps - q.steps,
      )
      if (!best) {
        expect(['not listed', 'different generation']).toContain(answer.verdict)
        expect(answer.evidence).toBeNull()
        return
      }
      withPath++
      expect([answer.verdict, answer.plan, answer.evidence, answer.path.length]).toEqual([
        VERDICT_WORDS[best.code],
        PLANS[planOf(best)],
        GRADES[best.strength],
        best.steps,
      ])
      if (best.missing === 0) expect(answer.missing).toEqual([])
    }),
    { numRuns: 4000, seed: 20_261_129 },
  )
  expect(withPath).toBeGreaterThan(800)
})

test('a straight chain is answered as it is in full: what is asked without an application as with an empty one', () => {
  let plain = 0
  fc.assert(
    fc.property(
      fc.uniqueArray(
        fc.tuple(
          fc.constantFrom('A', 'B', 'C', 'D', 'E'),
          fc.constantFrom('B', 'C', 'D', 'E', 'F'),
          fc.constantFrom('yes', 'no', 'unsaid'),
          grades,
          fc.constantFrom(1, 2),
        ),
        {
          maxLength: 4,
          selector: ([old]) => old,
        },
      ),
      fc.constantFrom('A', 'B', 'C'),
      fc.constantFrom('B', 'D', 'E', 'F'),
      fc.constantFrom(1, 3),
      (rows, wanted, had, quantity) => {
        const index = new NumberIndex({
          supersessions: rows.map(
            ([old, next, back, grade, count]): SupersessionClaim => ({
              id: old,
              old: [{ issuer: 'M', number: old, quantity: count }],
              new: [{ issuer: 'M', number: next, quantity: 2 }],
              back: back as SupersessionClaim['back'],
              grade,
            }),
          ),
        })
        const asked: NumberQuestion = {
          want: [{ issuer: 'M', number: wanted, quantity, grade: 'maker' }],
          have: [{ issuer: 'M', number: had, grade: 'maker' }],
          on: '2026-06-01',
        }
        const answer = checkNumber(index, asked)
        if (answer.path.length > 1) plain++
        expect(answer).toEqual(checkNumber(index, { ...asked, application: {} }))
      },
    ),
    { numRuns: 1500, seed: 20_261_129 },
  )
  expect(plain).toBeGreaterThan(50)
})

test('the order of rows and of what is had never matters, nor how a number is spelled', () => {
  fc.assert(
    fc.property(claims, question, fc.integer({ min: 1, max: 1000 }), (all, asked, turn) => {
      const turned = <T>(list: readonly T[]): T[] => {
        const by = list.length === 0 ? 0 : turn % list.length
        return [...list.slice(by), ...list.slice(0, by)].reverse()
      }
      const answer = checkNumber(indexOf(all), asked)
      const other = checkNumber(
        indexOf({
          ...all,
          numbers: turned(all.numbers),
          supersessions: turned(all.supersessions),
          interchange: turned(all.interchange),
          applications: turned(all.applications),
        }),
        { ...asked, want: turned(asked.want ?? []), have: turned(asked.have) },
      )
      expect({ ...other, others: [], didYouMean: [], cautions: [], open: [], todo: [] }).toEqual({
        ...answer,
        others: [],
        didYouMean: [],
        cautions: [],
        open: [],
        todo: [],
      })
      const spaced = (one: { number: string }) => ({
        ...one,
        number: ` ${[...one.number.toLowerCase()].join('-')}`,
      })
      const spelled = checkNumber(indexOf(all), {
        ...asked,
        want: asked.want?.map((one) => ({ ...one, ...spaced(one) })),
        have: asked.have.map((one) => ({ ...one, ...spaced(one) })),
      })
      expect([spelled.verdict, spelled.plan, spelled.evidence]).toEqual([
        answer.verdict,
        answer.plan,
        answer.evidence,
      ])
    }),
    { numRuns: 600, seed: 20_261_129 },
  )
})

test('looking only at what may lead to a number had finds the same answer', () => {
  fc.assert(
    fc.property(claims, question, (all, asked) => {
      const index = indexOf(all)
      const { current: _c, cautions: _w, ...whole } = checkNumber(index, asked)
      const {
        current: _n,
        cautions: _a,
        ...narrow
      } = checkNumber(index, {
        ...asked,
        isNarrow: true,
      })
      expect(narrow).toEqual(whole)
    }),
    { numRuns: 1500, seed: 20_261_129 },
  )
})

test('a number that nothing leads from or to serves for no other', () => {
  let lone = 0
  fc.assert(
    fc.property(claims, question, (all, asked) => {
      const index = indexOf(all)
      const { want = [], have } = asked
      if (!have.every((one) => index.isLone(one))) return
      if (want.some((one) => have.some((other) => index.isSame(one, other)))) return
      lone++
      expect(checkNumber(index, asked)).toMatchObject({
        verdict: 'not listed',
        plan: asked.follow === 'none' ? 'no' : 'confirm',
        path: [],
      })
    }),
    { numRuns: 3000, seed: 20_261_129 },
  )
  expect(lone).toBeGreaterThan(20)
})
