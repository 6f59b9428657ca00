import { expect, test } from 'vitest'
import { demoDocument } from '../../demo/index.ts'
import { openDatabase } from '../database/sqlite/connection.ts'
import { Store } from '../database/store.ts'
import { importDocument } from './build-document.ts'
import { measureNextView } from './measure-next.ts'

test('of the demo: what is named is a field of a part in play, worth something, and gone once it is measured', async () => {
  const store = new Store(await openDatabase(':memory:'))
  await importDocument(store, demoDocument())
  for (const build of ['lantern', 'alder', 'sprat']) {
    const { inPlay, items } = await measureNextView(store, build)
    expect(inPlay.length).toBeGreaterThan(1)
    for (const { part, label, minutes, valueMinor, pairings } of items) {
      expect((await store.get('part', part)).id).toBe(part)
      expect(label.length * minutes * valueMinor).toBeGreaterThan(0)
      for (const one of pairings) expect(inPlay).toContain(one)
    }
  }
})
