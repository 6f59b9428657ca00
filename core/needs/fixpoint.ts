import { type Fact, Facts } from './facts.ts'
import { mergeNeeds, type Need, need } from './need.ts'
import { type Recipe, recipeRule } from './recipe.ts'
import type { Rule, RuleInput } from './rule.ts'
import { RULES } from './rules/index.ts'

/**
 * Runs every rule until nothing new appears, merging needs of one id. Rules only add and ids come from finite kinds,
 * places and slots, so it ends, and the order of rules cannot matter. Needs come back sorted by id.
 */
export function planNeeds(
  facts: readonly Fact[],
  joints: RuleInput['joints'],
  recipes: readonly Recipe[] = [],
  rules: readonly Rule[] = RULES,
): Need[] {
  const all = [...rules, ...recipes.map(recipeRule)]
  const read = new Facts(facts)
  const listed = new Map<string, Need>()
  for (let size = -1; size !== listed.size; ) {
    size = listed.size
    const kinds = new Set([...listed.values()].map((one) => one.kind))
    const found = all
      .flatMap((rule) => rule.run({ facts: read, joints, has: (kind) => kinds.has(kind) }))
      .map(need)
    // Each pass re-merges from scratch: a need is the join of all that raise it, whichever came first.
    const pass = new Map<string, Need>()
    for (const one of found) {
      const other = pass.get(one.id)
      pass.set(one.id, other ? mergeNeeds(other, one) : one)
    }
    for (const [id, one] of pass) listed.set(id, one)
  }
  return [...listed.values()].sort((p, q) => (p.id < q.id ? -1 : 1))
}
