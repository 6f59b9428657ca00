import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, test } from 'vitest'
import { LINE_ROWS } from '../../../core/needs/lines/index.ts'
import { MIGRATIONS, openDatabase } from '../sqlite/connection.ts'
import { Store } from '../store.ts'

test('decisions follow their lines to where the list has them now; of two on one line the older goes', async () => {
  const file = join(mkdtempSync(join(tmpdir(), 'junket-')), 'junket.sqlite')
  const old = await openDatabase(file, MIGRATIONS.slice(0, 14))
  await old('build').insert({ id: 'b', name: 'B', currency: 'EUR' })
  for (const [id, needId, act] of [
    ['1', 'disc/coupling/main', 'price'],
    ['2', 'belt/bay/main', 'drop'],
    ['3', 'spacer/face/main', 'keep'],
    ['4', 'bell-bolt/face/main', 'keep'],
  ])
    await old('decision').insert({
      id,
      buildId: 'b',
      needId,
      act,
      priceMinor: act === 'price' ? 700 : null,
    })
  await old.destroy()
  const store = new Store(await openDatabase(file))
  const now = await store.list('decision', { buildId: 'b' })
  expect(now.map(({ id, needId, act, priceMinor }) => [id, needId, act, priceMinor])).toEqual([
    ['1', 'new-disc/coupling/main', 'price', 700],
    ['2', 'belt/front/main', 'drop', null],
    ['3', 'spacer/crank/main', 'keep', null],
    ['4', 'bell-bolt/face/main', 'keep', null],
  ])
  // Every line it leads to is one of the list.
  const ids = new Set(LINE_ROWS.map(({ kind, place }) => `${kind}/${place}/main`))
  for (const { needId } of now) expect(ids).toContain(needId)
})
