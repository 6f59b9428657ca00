import { expect, test } from 'vitest'
import { belongsTo } from './belongs.ts'
import { FIXTURES } from './fixtures/builds.property.ts'
import { planNeeds } from './plan-needs.ts'

test('a small piece of any build belongs to a dearer part that stands as surely, and that to nothing', () => {
  const shares = FIXTURES.filter(({ name }) => name !== 'nothing is swapped').map(({ facts }) => {
    const { needs } = planNeeds({ facts })
    const byId = new Map(needs.map((one) => [one.id, one]))
    const heads = belongsTo(needs)
    for (const [piece, head] of heads) {
      const [small, of] = [byId.get(piece)!, byId.get(head)!]
      expect(of.outcome, piece).toBe(small.outcome)
      expect(of.sort, piece).toBe('part')
      expect(heads.has(head), head).toBe(false)
      expect(small.eur[1] <= of.eur[1] || small.hours[1] <= of.hours[1], piece).toBe(true)
    }
    return heads.size / needs.filter(({ sort }) => sort === 'part').length
  })
  // Most lists grow shorter by it, none is emptied.
  expect(Math.max(...shares)).toBeLessThan(0.6)
  expect(shares.filter((share) => share > 0.1).length).toBeGreaterThan(20)
})

test('a clip belongs to the radiator where one is bought; a tool and an oil to nothing', () => {
  const { facts } = FIXTURES.find(({ must }) => 'larger-or-thinner-radiator' in must)!
  const { needs } = planNeeds({ facts })
  const heads = belongsTo(needs)
  const radiator = needs.find(({ kind }) => kind === 'larger-or-thinner-radiator')!
  const hose = needs.find(({ kind }) => kind === 'top-hose')!
  expect(heads.get(hose.id)).toBe(radiator.id)
  for (const { id } of needs.filter(({ kind }) => kind === 'engine-oil' || kind === 'code-reader'))
    expect(heads.has(id)).toBe(false)
})
