import fc from 'fast-check'
import { describe, expect, it, test } from 'vitest'
import { isGtin } from './check-digit.ts'
import { looksLike } from './looks-alike.ts'
import { checkRule, DEFAULT_RULE, type NumberRule, readNumber } from './number-rule.ts'
import { readVin } from './vin.ts'

const rule = (more: Partial<NumberRule>): NumberRule => ({ ...DEFAULT_RULE, ...more })
const key = (number: string, more: Partial<NumberRule> = {}): string =>
  readNumber(number, rule(more)).key

describe('numbers as their issuers write them', () => {
  it('drop what means nothing and keep the rest: dashes of every kind, spaces, full-width letters, case', () => {
    for (const spelled of ['mld 417.20', 'MLD–417‑20', ' ＭＬＤ417.20', 'mld 417 20'])
      expect(key(spelled)).toBe('MLD41720')
    expect(key('a-1', { upper: false, noise: '' })).toBe('a-1')
    // O and 0, I and 1 stay what they are.
    expect(key('O1')).not.toBe(key('01'))
  })

  it('lose their longest prefix once, and only where something is left that reads as a number of theirs', () => {
    const prefixes = ['M', 'MLD']
    expect(key('MLDMLD7', { prefixes })).toBe('MLD7')
    expect(key('MLD', { prefixes })).toBe('MLD')
    // With shapes only if it reads without and not with it.
    expect(key('M1234', { prefixes: ['M'], shapes: ['####'] })).toBe('1234')
    expect(key('M1234', { prefixes: ['M'], shapes: ['####', '@####'] })).toBe('M1234')
    expect(key('M12', { prefixes: ['M'], shapes: ['####'] })).toBe('M12')
  })

  it('lose or gain zeros by their rule', () => {
    expect(key('00120', { zeros: 'drop' })).toBe('120')
    expect(key('000', { zeros: 'drop' })).toBe('0')
    expect(key('120', { zeros: { pad: 6 } })).toBe('000120')
    expect(key('12A', { zeros: { pad: 6 } })).toBe('12A')
  })

  it('are taken apart into the longest core and suffixes in order, each once, the earlier as long as it can be', () => {
    const own = {
      shapes: ['###', '####'],
      suffixes: [
        { kind: 'grade', shapes: ['@', '@@'] },
        { kind: 'colour', shapes: ['@', '@@@'] },
        { kind: 'side', shapes: ['L', 'R'] },
      ],
    } as const
    const read = readNumber('1234ABL', rule(own))
    expect([read.core, read.suffixes.map(({ kind, text }) => `${kind} ${text}`)]).toEqual([
      '1234',
      ['grade AB', 'colour L'],
    ])
    // Grade decides and colour does not.
    expect(read.key).toBe('1234+AB')
    expect(readNumber('123L', rule(own)).suffixes[0]).toMatchObject({ kind: 'grade', text: 'L' })
    expect(readNumber('12345', rule(own))).toMatchObject({ core: '12345', fitsShape: false })
    expect(readNumber('anything', rule({})).fitsShape).toBe(true)
    const told = { ...own, suffixes: [{ kind: 'colour', shapes: ['@'], decides: true }] } as const
    expect(key('123W', told)).toBe('123+W')
  })

  it('are refused a rule that cannot be followed, with why', () => {
    const refused: readonly (readonly [Partial<NumberRule>, RegExp])[] = [
      [{ suffixes: [{ kind: 'side', shapes: ['L'] }] }, /need a shape/],
      [{ prefixes: ['M-'] }, /"-" is noise/],
      [{ shapes: ['##.##'] }, /"\." is noise/],
      [{ shapes: ['##'], suffixes: [{ kind: 'side', shapes: [' L'] }] }, /" " is noise/],
      [{ shapes: [''] }, /holds nothing/],
      [{ zeros: { pad: 0 } }, /whole number/],
    ]
    for (const [one, why] of refused) expect(() => checkRule(rule(one))).toThrow(why)
    expect(() =>
      checkRule(rule({ shapes: ['#@*'], suffixes: [{ kind: 'side', shapes: ['L'] }] })),
    ).not.toThrow()
  })

  test('a key does not hang on noise, case or spaces, and reading a key again changes nothing', () => {
    fc.assert(
      fc.property(
        fc.stringMatching(/^[A-Z0-9]{1,12}$/),
        fc.array(fc.constantFrom(' ', '-', '.', '–', ' '), { maxLength: 8 }),
        (number, noise) => {
          const spelled = [...number].map((char, i) => char + (noise[i] ?? '')).join('')
          expect(key(spelled.toLowerCase())).toBe(number)
          expect(key(key(spelled))).toBe(number)
        },
      ),
    )
  })

  it('that are easily mistaken for one another look alike', () => {
    expect(looksLike('0O1I2')).toBe(looksLike('00112'))
    expect(looksLike('00120')).toBe(looksLike('12O'))
    expect(looksLike('0')).toBe('0')
    expect(looksLike('8B')).not.toBe(looksLike('88'))
  })
})

describe('check digits', () => {
  it('of trade items: 8, 12, 13 or 14 digits, weighted 3 and 1 from the right', () => {
    // Given with the rule: 2000000000015 is right.
    expect(isGtin('2000000000015')).toBe(true)
    expect(isGtin('2000000000014')).toBe(false)
    for (const digits of ['00000017', '000000000000', '02000000000015'])
      expect(isGtin(digits)).toBe(true)
    for (const digits of ['123', '200000000001A', '']) expect(isGtin(digits)).toBe(false)
  })

  it('of chassis numbers: seventeen ones are right, one of them changed is not', () => {
    // 49 CFR 565.15: seventeen 1s carry a right check digit.
    expect(readVin('1'.repeat(17))).toEqual({
      isVin: true,
      check: 'ok',
      modelYears: [2001, 2031],
      notes: [],
    })
    expect(readVin('11111111111111112').check).toBe('fails')
    // Elsewhere nobody promised that there is one.
    expect(readVin(`W${'1'.repeat(16)}`)).toMatchObject({
      isVin: true,
      check: 'none',
      modelYears: [],
    })
    expect(readVin('111111111111111I1').isVin).toBe(false)
    expect(readVin('WB12345')).toMatchObject({ isVin: false, notes: ['chassis number'] })
    expect(readVin('1'.repeat(18)).isVin).toBe(false)
  })

  it('leave two model years, the later first where the seventh character is a letter', () => {
    const vin = (seventh: string, tenth: string): readonly number[] =>
      readVin(`111111${seventh}11${tenth}1111111`).modelYears
    expect(vin('A', 'A')).toEqual([2010, 1980])
    expect(vin('1', 'Y')).toEqual([2000, 2030])
    expect(vin('1', '9')).toEqual([2009, 2039])
    expect(vin('1', '0')).toEqual([])
    expect(vin('1', 'Z')).toEqual([])
  })
})
