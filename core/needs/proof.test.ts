import { expect, test } from 'vitest'
import { need } from './need.ts'
import { DEAR_MINOR, proofOf } from './proof.ts'

const shaft = need({ kind: 'propshaft', place: 'shafts', words: 'Propshaft', why: [] })

test('a dear line known by hearsay, or with what nobody measured, is to be proved first; a cheap or measured one is not', () => {
  const ofCost = (costMinor: number, evidence: 'heard' | 'maker', confirm: string[] = []) =>
    proofOf(shaft, costMinor, { evidence, confirm })
  expect(ofCost(DEAR_MINOR, 'heard')).toMatchObject({
    id: 'proof:propshaft/shafts/main',
    sort: 'task',
    stage: 'before',
    why: [{ words: 'It is dear, and what is known of it is heard', parent: 'propshaft' }],
  })
  expect(ofCost(DEAR_MINOR, 'maker', ['Flange Ø'])?.why[0]?.words).toContain('flange ø')
  expect(ofCost(DEAR_MINOR - 1, 'heard')).toBe(null)
  expect(ofCost(DEAR_MINOR, 'maker')).toBe(null)
  // A piece of a bundle has no price of its own: what its kind costs says whether it is dear.
  expect(
    proofOf({ ...shaft, eur: [200, 400, 900] }, 0, { evidence: 'heard', confirm: [] }),
  ).not.toBe(null)
})
