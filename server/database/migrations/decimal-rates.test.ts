import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, test } from 'vitest'
import { MIGRATIONS, openDatabase } from '../sqlite/connection.ts'

test('rates and shares become decimals and keep their values, their rules and their standards', async () => {
  const file = join(mkdtempSync(join(tmpdir(), 'junket-')), 'junket.sqlite')
  const old = await openDatabase(file, MIGRATIONS.slice(0, 8))
  const rate = { fromCurrency: 'USD', toCurrency: 'EUR', day: '2026-01-01' }
  await old('rate').insert({ id: 'r', rate: 0.9217, ...rate })
  await old('build').insert({
    id: 'b',
    name: 'B',
    currency: 'EUR',
    taxRate: 0.19,
    contingency: 0.15,
  })
  await old.destroy()
  const knex = await openDatabase(file)
  expect(await knex('rate').first('rate')).toEqual({ rate: 0.9217 })
  expect(await knex('build').first('taxRate', 'contingency')).toEqual({
    taxRate: 0.19,
    contingency: 0.15,
  })
  await expect(knex('rate').insert({ id: 's', rate: 0, ...rate })).rejects.toThrow('CHECK')
  await knex('donor').insert({ id: 'd', name: 'D', currency: 'EUR' })
  expect(await knex('donor').first('saleFee')).toEqual({ saleFee: 0.1666666667 })
  expect(await knex.raw('PRAGMA foreign_key_check')).toEqual([])
  const declared = await knex.raw('PRAGMA table_info(rate)')
  expect(declared.find(({ name }: { name: string }) => name === 'rate').type).toBe(
    'DECIMAL(18, 10)',
  )
  await knex.destroy()
})
