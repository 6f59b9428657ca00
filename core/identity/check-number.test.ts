import { describe, expect, it } from 'vitest'
import { checkNumber, type NumberQuestion } from './check-number.ts'
import type { CountedNumber, SupersessionClaim } from './claims.ts'
import { type NumberClaims, NumberIndex } from './number-index.ts'

const n = (number: string, more: { readonly [key: string]: unknown } = {}) => ({
  issuer: 'MLD',
  number,
  ...more,
})
type Side = string | readonly CountedNumber[]
const row = (id: string, old: Side, next: Side, more: object = {}): SupersessionClaim => ({
  id,
  old: typeof old === 'string' ? [n(old)] : old,
  new: typeof next === 'string' ? [n(next)] : next,
  grade: 'maker' as const,
  ...more,
})
const ask = (claims: NumberClaims, question: Partial<NumberQuestion>) =>
  checkNumber(new NumberIndex(claims), {
    want: [n('100', { grade: 'maker' })],
    have: [n('300', { grade: 'catalogue' })],
    on: '2026-06-01',
    ...question,
  } as NumberQuestion)

describe('what serves for what', () => {
  it('a superseded number is followed on, and back only where it is said', () => {
    const supersessions = [
      row('a', '100', '200', { back: 'no' }),
      row('b', '200', '300', { back: 'yes' }),
    ]
    expect(ask({ supersessions }, {})).toMatchObject({
      verdict: 'superseded by',
      plan: 'yes',
      evidence: 'catalogue',
      path: [
        { kind: 'superseded', from: [n('100')], to: [n('200')], row: 'a', grade: 'maker' },
        { kind: 'superseded', from: [n('200')], to: [n('300')], row: 'b', grade: 'maker' },
      ],
      use: [n('300', { quantity: 1 })],
      current: [n('300')],
    })
    const back = (want: string, have: string) =>
      ask(
        { supersessions },
        { want: [n(want, { grade: 'maker' })], have: [n(have, { grade: 'maker' })] },
      )
    expect(back('300', '200')).toMatchObject({ verdict: 'superseded by', plan: 'yes' })
    expect(back('200', '100')).toMatchObject({
      verdict: 'not listed',
      plan: 'confirm',
      evidence: null,
    })
    const unsaid = ask(
      { supersessions: [row('a', '100', '200')] },
      { want: [n('200', { grade: 'maker' })], have: [n('100', { grade: 'maker' })] },
    )
    expect(unsaid).toMatchObject({ verdict: 'with note', plan: 'confirm' })
  })

  it('a row speaks only while it is in force', () => {
    const supersessions = [
      row('a', '100', '300', { since: '2027' }),
      row('b', '100', '200', { until: '2025-12' }),
    ]
    expect(ask({ supersessions }, {}).verdict).toBe('not listed')
    expect(ask({ supersessions }, { on: '2027-01-01' }).verdict).toBe('superseded by')
    expect(ask({ supersessions }, { have: [n('200')], on: '2025-12-31' }).verdict).toBe(
      'superseded by',
    )
  })

  it('a split needs all its pieces; what is not had is missing, and nothing is planned on it', () => {
    const supersessions = [
      row('a', [n('100', { quantity: 2 })], [n('300', { quantity: 4 }), n('400')]),
    ]
    const both = ask(
      { supersessions },
      { have: [n('300', { grade: 'maker' }), n('400', { grade: 'maker' })] },
    )
    expect(both).toMatchObject({
      verdict: 'superseded by',
      plan: 'yes',
      use: [n('300', { quantity: 4 }), n('400', { quantity: 1 })],
    })
    // Three of what comes in twos: twice over.
    const three = ask(
      { supersessions },
      { want: [n('100', { quantity: 3 })], have: [n('300'), n('400')] },
    )
    expect(three.use.map(({ quantity }) => quantity)).toEqual([8, 2])
    expect(ask({ supersessions }, {})).toMatchObject({
      verdict: 'with note',
      plan: 'no',
      missing: [n('400', { quantity: 1 })],
    })
    const whole = ask(
      { supersessions },
      { want: [n('400', { grade: 'maker' })], have: [n('100', { grade: 'maker' })] },
    )
    expect(whole).toMatchObject({
      verdict: 'with note',
      plan: 'confirm',
      surplus: [n('300', { quantity: 4 })],
    })
  })

  it('groups never chain, are taken one way, and hold where they say', () => {
    const group = (id: string, from: string, to: string, more: object = {}) => ({
      id,
      grade: 'maker' as const,
      members: [n(from, { way: 'served' as const }), n(to, { way: 'serves' as const })],
      ...more,
    })
    const two = { interchange: [group('a', '100', '200'), group('b', '200', '300')] }
    expect(ask(two, {}).verdict).toBe('not listed')
    expect(ask(two, { have: [n('200', { grade: 'maker' })] })).toMatchObject({
      verdict: 'interchange',
      plan: 'yes',
    })
    expect(ask(two, { have: [n('200')], follow: 'supersessions' }).verdict).toBe('not listed')
    expect(ask(two, { want: [n('200')], have: [n('100')] }).verdict).toBe('not listed')
    const cold = { conditions: [{ key: 'market', is: ['north'] }], do: ['fit the cold start kit'] }
    const asked = (facts?: object) =>
      ask({ interchange: [group('c', '100', '300', { where: cold })] }, {
        application: { ...(facts ? { facts } : {}) },
      } as object)
    expect(asked()).toMatchObject({
      verdict: 'with note',
      open: ['market'],
      todo: ['fit the cold start kit'],
    })
    expect(asked({ market: { value: 'south' } }).verdict).toBe('not listed')
    expect(asked({ market: { value: 'north', grade: 'maker' } })).toMatchObject({
      verdict: 'with note',
      open: [],
    })
  })

  it('a number cast in ends a path with a note and never stands inside one; a listed one on two parts is bad data', () => {
    const cast = (part: string) => ({
      id: part,
      part,
      ...n('200'),
      mark: 'cast' as const,
      grade: 'maker' as const,
    })
    const listed = (part: string, number: string) => ({
      id: `${part}${number}`,
      part,
      ...n(number),
      grade: 'maker' as const,
    })
    const through = { numbers: [listed('p', '100'), cast('p'), cast('q'), listed('q', '300')] }
    expect(ask(through, {}).verdict).toBe('not listed')
    expect(ask(through, { have: [n('200')] })).toMatchObject({
      verdict: 'with note',
      plan: 'confirm',
    })
    const twice = { numbers: [listed('p', '100'), listed('p', '300'), listed('q', '300')] }
    expect(ask(twice, {})).toMatchObject({ verdict: 'conflict', plan: 'no' })
    expect(ask({ numbers: [listed('p', '100'), listed('p', '300')] }, {})).toMatchObject({
      verdict: 'exact',
      plan: 'yes',
    })
  })

  it('a ring is a conflict on its way and a caution ahead', () => {
    const ring = [row('a', '100', '200'), row('b', '200', '100'), row('c', '200', '300')]
    expect(ask({ supersessions: ring }, {})).toMatchObject({ verdict: 'conflict', plan: 'no' })
    const ahead = [row('a', '100', '300'), row('b', '300', '400'), row('c', '400', '300')]
    const found = ask({ supersessions: ahead }, {})
    expect([found.verdict, found.cautions.length]).toEqual(['superseded by', 1])
  })

  it('what is denied as strongly as it is said is a conflict, more weakly a note, elsewhere nothing', () => {
    const wick = { targets: { engine: { family: 'wick' } } }
    const denied = (grade: 'heard' | 'maker', application?: object) =>
      ask(
        {
          supersessions: [row('a', '100', '300')],
          applications: [{ id: 'd', ...n('300'), fits: 'no' as const, grade, where: wick }],
        },
        { application } as object,
      ).verdict
    expect(denied('maker', { engine: { family: 'wick' } })).toBe('conflict')
    expect(denied('heard', { engine: { family: 'wick' } })).toBe('with note')
    expect(denied('maker', { engine: { family: 'fen' } })).toBe('superseded by')
    expect(denied('maker')).toBe('superseded by')
  })

  it('by application: what is listed for the engine stands, another generation does not, ports decide the rest', () => {
    const fits = (number: string, generations: string[]) => ({
      id: number,
      ...n(number),
      grade: 'maker' as const,
      where: { targets: { engine: { family: 'wick', generations } } },
    })
    const claims = { applications: [fits('300', ['two']), fits('100', ['one'])] }
    const of = (generation: string, have: string) =>
      ask(claims, {
        want: [],
        have: [n(have, { grade: 'maker' })],
        application: { engine: { family: 'wick', generation, grade: 'maker' } },
      })
    expect(of('two', '300')).toMatchObject({
      verdict: 'exact',
      plan: 'yes',
      path: [{ kind: 'application', row: '300' }],
    })
    expect(of('one', '300')).toMatchObject({ verdict: 'different generation', plan: 'no' })
    expect(of('one', '999')).toMatchObject({ verdict: 'not listed', plan: 'confirm' })
    // By number: listed for other generations alone.
    expect(ask(claims, {})).toMatchObject({ verdict: 'different generation', plan: 'no' })
    expect(ask({}, { follow: 'none' })).toMatchObject({ verdict: 'not listed', plan: 'no' })
  })

  it('what is easily mistaken is offered and never taken; neither number nor application is refused', () => {
    const found = ask(
      { numbers: [{ id: 'p', part: 'p', ...n('1OO') }] },
      { have: [n('100')], want: [n('0100')] },
    )
    expect(found.verdict).toBe('not listed')
    expect(found.didYouMean).toEqual([n('1OO'), n('1OO')])
    expect(() => ask({}, { want: [] })).toThrow(/Say which number/)
    expect(() =>
      ask({ supersessions: [row('a', [n('1'), n('2')], [n('3'), n('4')])] }, {}),
    ).toThrow(/several numbers by several/)
  })
})
