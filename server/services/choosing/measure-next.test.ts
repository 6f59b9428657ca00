import { expect, test } from 'vitest'
import { demoDocument } from '../../../demo/index.ts'
import { openDatabase } from '../../database/sqlite/connection.ts'
import { Store } from '../../database/store.ts'
import { importDocument } from '../builds/build-document.ts'
import { measureNextTyped, measureNextView } from './measure-next.ts'

test('of the demo: what is named is a field of a part in play, and tells the choice or the cost', async () => {
  const store = new Store(await openDatabase(':memory:'))
  await importDocument(store, demoDocument())
  for (const build of ['lantern', 'alder', 'sprat']) {
    const { inPlay, items } = await measureNextView(store, build)
    expect(inPlay.length).toBeGreaterThan(1)
    for (const { part, label, minutes, valueMinor, movesMinor, pairings } of items) {
      expect((await store.get('part', part)).id).toBe(part)
      expect(label.length * minutes * (valueMinor + movesMinor)).toBeGreaterThan(0)
      for (const one of pairings) expect(inPlay).toContain(one)
    }
  }
})

test('the order moves as one types: what is typed is asked for no more, what cannot be read changes nothing, nothing is written', async () => {
  const store = new Store(await openDatabase(':memory:'))
  await importDocument(store, demoDocument())
  for (const build of ['alder', 'sprat']) {
    const before = await measureNextView(store, build)
    const figure = before.items.find(({ field }) => field.endsWith('Mm'))!
    expect(figure).toBeDefined()
    const typed = (text: string) =>
      measureNextTyped(store, build, [
        { port: figure.port, field: figure.field, typed: text, decimal: 'point' },
      ])
    expect(await typed('about')).toEqual(before)
    const after = await typed('20')
    expect(after.inPlay).toEqual(before.inPlay)
    expect(
      after.items.some(({ port, field }) => port === figure.port && field === figure.field),
    ).toBe(false)
    expect(await measureNextView(store, build)).toEqual(before)
  }
})
