import { afterAll, beforeAll, expect, test } from 'vitest'
import { demoDatabase } from '../../database/demo.seed.ts'
import type { Database } from '../../database/sqlite/connection.ts'
import { Store } from '../../database/store.ts'
import { createIssuer, previewIssuer, updateIssuer } from './issuers.ts'
import { addNumber } from './number-claims.ts'
import { checkNumbers } from './numbers.ts'

const listed = (issuer: string, number: string) =>
  ({ issuer, number, mark: 'catalogue', grade: 'catalogue' }) as const

let knex: Database
let store: Store
beforeAll(async () => {
  knex = await demoDatabase()
  store = new Store(knex)
})
afterAll(() => knex.destroy())

const RULE = { prefixes: [], zeros: 'keep', shapes: [], suffixes: [], check: 'none' } as const
const shaped = {
  ...RULE,
  prefixes: ['BR'],
  shapes: ['####'],
  suffixes: [
    { kind: 'side' as const, shapes: ['L', 'R'] },
    { kind: 'colour' as const, shapes: ['K', 'W'] },
  ],
}
const plain = (rule: typeof shaped) => structuredClone(rule)

test('a rule is tried, saved and read anew: prefixes and colours count no more, sides do', async () => {
  const issuer = await createIssuer(store, { name: 'Brass', upper: true, noise: ' .-' })
  await addNumber(store, 'wick-2', listed('Brass', 'BR-1234LK'))
  await addNumber(store, 'wick-1', listed('Brass', '1234 R'))
  const tried = await previewIssuer(store, issuer.id, {
    upper: true,
    noise: ' .-',
    rule: plain(shaped),
  })
  expect(tried).toMatchObject({ of: 2, fits: 2, changedCount: 2, metCount: 0, blockedCount: 0 })
  expect((await store.get('issuer', issuer.id)).rule ?? null).toBeNull()
  await updateIssuer(store, issuer.id, issuer.version, { rule: shaped })
  const keys = (await store.list('partNumber', { issuerId: issuer.id })).map(
    ({ normalised }) => normalised,
  )
  expect(keys.sort()).toEqual(['1234+L', '1234+R'])
  const says = await checkNumbers(store, {
    want: [{ issuer: 'Brass', number: '1234 L W', quantity: 1, grade: 'maker' }],
    have: [{ issuer: 'Brass', number: 'br1234l-k', grade: 'maker' }],
  })
  expect(says).toMatchObject({ verdict: 'with note', plan: 'confirm', evidence: 'maker' })
  await expect(addNumber(store, 'hob', listed('Brass', '1234-L-W'))).rejects.toThrow(
    /already the number of/,
  )
})

test('two parts in one number change nothing, and say which; a rule that cannot be followed says why', async () => {
  const issuer = await createIssuer(store, { name: 'Copper', upper: true, noise: ' .-' })
  await addNumber(store, 'wick-2', listed('Copper', '0120'))
  await addNumber(store, 'wick-1', listed('Copper', '120'))
  const drop = { ...RULE, zeros: 'drop' as const }
  await expect(updateIssuer(store, issuer.id, issuer.version, { rule: drop })).rejects.toThrow(
    /0120 and 120 would be one number, 120, of two parts/,
  )
  const kept = await store.get('issuer', issuer.id)
  expect([kept.version, kept.rule ?? null]).toEqual([issuer.version, null])
  const wrong = { upper: true, noise: ' .-', rule: { ...plain(shaped), shapes: ['##-##'] } }
  await expect(previewIssuer(store, issuer.id, wrong)).rejects.toThrow(/"-" is noise/)
  await expect(createIssuer(store, { ...wrong, name: 'Tin' })).rejects.toThrow(/"-" is noise/)
})
