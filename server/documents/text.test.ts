import fc from 'fast-check'
import { expect, test } from 'vitest'
import { decodeText, parseJson, utf8Of } from './text.ts'

const utf16 = (text: string, isBig: boolean, marked = true): Buffer => {
  const bytes = Buffer.from(`${marked ? '\ufeff' : ''}${text}`, 'utf16le')
  return isBig ? bytes.swap16() : bytes
}

test('one text reads the same in every encoding, with a mark and without', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'grapheme', minLength: 1 }), (text) => {
      const plain = text.replace(/^\ufeff+/, '')
      for (const bytes of [
        Buffer.from(plain),
        Buffer.from(`\ufeff${plain}`),
        utf16(plain, false),
        utf16(plain, true),
      ]) {
        if (bytes.length === plain.length && /^\0|\0\0/.test(plain)) continue
        expect(decodeText(bytes)).toBe(plain)
        expect(Buffer.from(utf8Of(bytes)).toString()).toBe(plain)
      }
    }),
  )
  for (const isBig of [false, true])
    expect(decodeText(utf16('supplier,issuer,number', isBig, false))).toBe('supplier,issuer,number')
})

test('bytes that are neither are told by their line', () => {
  expect(() => decodeText(Buffer.from([0x61, 0x0a, 0x62, 0x0a, 0xe9, 0x0a]))).toThrow(
    /Line 3 holds bytes that are not UTF-8/,
  )
})

test('JSON that is none is malformed, with where', () => {
  expect(() => parseJson(Buffer.from('{"a":'))).toThrow(/not JSON/)
  expect(parseJson(utf16('{"a":1}', false))).toEqual({ a: 1 })
})
