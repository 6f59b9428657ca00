import { expect, test } from 'vitest'
import { DEMO_PARTS, demoOwned } from '../../demo/compiled.ts'
import { context } from '../joints/samples.property.ts'
import { recordTrain } from './pairing.ts'
import { Records } from './records.ts'
import { trainOfEnds } from './sweep.ts'

test('a verdict recorded for another train that looks alike is the one that would be recorded anew', () => {
  const all = [...DEMO_PARTS.values()]
  const engines = all.filter(({ kind }) => kind === 'engine').slice(0, 8)
  const boxes = all.filter(({ kind }) => kind === 'transmission').slice(0, 8)
  const [recipient = null] = all.filter(({ kind }) => kind === 'vehicle')
  const records = new Records()
  const ctx = context()
  for (const engine of engines)
    for (const transmission of boxes) {
      const train = trainOfEnds(
        { engine, coupling: demoOwned(engine.id) },
        { transmission, coupling: demoOwned(transmission.id), transfer: null, recipient },
      )
      expect(recordTrain(train, ctx, records)).toEqual(recordTrain(train, ctx))
    }
})
