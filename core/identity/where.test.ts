import { describe, expect, it } from 'vitest'
import type { Application, GenerationClaim, Where } from './claims.ts'
import { builtIn, intervalOf, within } from './interval.ts'
import { AskedFor } from './where.ts'

const truth = (
  where: Where,
  application: Application,
  generations: readonly GenerationClaim[] = [],
) => new AskedFor(application, generations).where(where).truth
const engine = (more: object = {}): Application => ({ engine: { family: 'wick', ...more } })

describe('where a claim holds', () => {
  it('reads targets: another family fails, none stated is unknown, another generation stands apart', () => {
    const where: Where = { targets: { engine: { family: 'Wick ', generations: ['two'] } } }
    expect(truth(where, {})).toBe('unknown')
    expect(truth(where, { engine: { family: 'fen' } })).toBe('fails')
    expect(truth(where, engine())).toBe('unknown')
    expect(truth(where, engine({ generation: 'TWO' }))).toBe('holds')
    expect(truth(where, engine({ generation: 'one' }))).toBe('other generation')
    // Only another family outranks another generation; a condition that fails does not.
    const more: Where = { ...where, conditions: [{ key: 'market', is: ['north'] }] }
    const facts = { market: { value: 'south' } }
    expect(truth(more, { ...engine({ generation: 'one' }), facts })).toBe('other generation')
    const vehicle: Where = { targets: { ...where.targets, vehicle: { family: 'packet' } } }
    expect(truth(vehicle, { ...engine({ generation: 'one' }), vehicle: { family: 'other' } })).toBe(
      'fails',
    )
  })

  it('reads dates as intervals: inside holds, outside fails, straddling is unknown', () => {
    const where: Where = { from: '2003-06', to: '2005' }
    const built = (date: string) => truth(where, engine({ built: date }))
    expect(['2003', '2003-05', '2003-06', '2004', '2005-12-31', '2006'].map(built)).toEqual([
      'unknown',
      'fails',
      'holds',
      'holds',
      'holds',
      'fails',
    ])
    // A model year was built in the year before, or in its own.
    expect(truth({ from: '2003', to: '2004' }, engine({ modelYear: 2004 }))).toBe('holds')
    expect(truth({ from: '2004' }, engine({ modelYear: 2004 }))).toBe('unknown')
    expect(truth({ yearFrom: 2004 }, engine({ modelYear: 2004 }))).toBe('holds')
    expect(truth({ yearFrom: 2004, yearTo: 2005 }, engine({ built: '2004' }))).toBe('holds')
    expect(truth({ yearTo: 2004 }, engine({ built: '2004' }))).toBe('unknown')
    expect(truth({ yearTo: 2003 }, engine({ built: '2004' }))).toBe('fails')
    expect(() => intervalOf('spring')).toThrow(/no date/)
    expect(within(builtIn(2004), '2003', '2004')).toBe('holds')
  })

  it('speaks of the first target it names, else of the first that is stated', () => {
    const where: Where = { targets: { transmission: { family: 'box' } }, from: '2004' }
    const both: Application = {
      vehicle: { family: 'packet', built: '2001' },
      transmission: { family: 'box', built: '2005' },
    }
    expect(truth(where, both)).toBe('holds')
    expect(truth({ from: '2004' }, both)).toBe('fails')
    expect(new AskedFor({}, []).where({ from: '2004' })).toMatchObject({
      truth: 'unknown',
      open: ['vehicle'],
    })
    expect(new AskedFor(engine(), []).where({ from: '2004' }).open).toEqual(['engine.built'])
  })

  it('compares serials as whole numbers behind their series', () => {
    const where: Where = { serial: { series: 'WB#', from: 500, to: 900 } }
    const serial = (text?: string) => truth(where, engine({ serial: text }))
    expect(['wb-1 0500', 'WB1900', 'WB10901', 'WC1600', 'WB1A00', undefined].map(serial)).toEqual([
      'holds',
      'holds',
      'fails',
      'fails',
      'unknown',
      'unknown',
    ])
  })

  it('asks conditions of facts: words without case, figures inclusive, what is not known unknown', () => {
    const facts = {
      market: { value: ' North' },
      teeth: { value: 36, grade: 'measured' },
      wire: { value: true },
    } as const
    const asked = new AskedFor({ facts }, [])
    const one = (condition: object) =>
      asked.where({ conditions: [{ key: 'market', ...condition }] }).truth
    expect(one({ is: ['north', 'south'] })).toBe('holds')
    expect(one({ not: ['NORTH'] })).toBe('fails')
    expect(one({ key: 'teeth', from: 36, to: 36 })).toBe('holds')
    expect(one({ key: 'teeth', from: 37 })).toBe('fails')
    expect(one({ key: 'market', from: 1 })).toBe('unknown')
    expect(one({ key: 'wire', is: ['true'] })).toBe('holds')
    expect(asked.where({ conditions: [{ key: 'steering', is: ['left'] }] })).toMatchObject({
      truth: 'unknown',
      open: ['steering'],
    })
    // As strong as the weakest fact that is read.
    expect(asked.where({ conditions: [{ key: 'teeth', from: 30 }] }).strength).toBe(4)
    expect(
      asked.where({
        conditions: [
          { key: 'teeth', from: 30 },
          { key: 'market', is: ['north'] },
        ],
      }).strength,
    ).toBe(1)
  })

  it('takes a generation as stated, else where one holds and all others fail', () => {
    const breaks: readonly GenerationClaim[] = [
      { target: 'engine', family: 'wick', id: 'one', to: '2001-06' },
      { target: 'engine', family: 'wick', id: 'two', from: '2001-07', to: '2005' },
      {
        target: 'engine',
        family: 'wick',
        id: 'three',
        from: '2006',
        conditions: [{ key: 'throttle', is: ['wire'] }],
      },
    ]
    const of = (more: object, facts?: Application['facts']) =>
      new AskedFor({ ...engine(more), ...(facts ? { facts } : {}) }, breaks).generation('engine')
        ?.id ?? null
    expect(of({ built: '1999' })).toBe('one')
    expect(of({ built: '2001' })).toBeNull()
    expect(of({ built: '2003-02' })).toBe('two')
    expect(of({ built: '2007' })).toBeNull()
    expect(of({ built: '2007' }, { throttle: { value: 'wire' } })).toBe('three')
    expect(of({ generation: 'one', built: '2007' })).toBe('one')
    expect(
      new AskedFor(engine({ generation: 'one', built: '2007' }), breaks).cautions,
    ).toHaveLength(1)
    expect(new AskedFor(engine({ generation: 'one', built: '2000' }), breaks).cautions).toEqual([])
  })
})
