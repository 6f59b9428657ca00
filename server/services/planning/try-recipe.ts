import type { z } from 'zod'
import type { recipeInput } from '../../../contract/rows.ts'
import type { Store } from '../../database/store.ts'
import { listFor, needsOf } from './planning.ts'

/** What a recipe would have added to the builds there are; a build that cannot be computed is passed over. */
export async function tryRecipe(store: Store, { body }: z.infer<typeof recipeInput>) {
  const builds = []
  for (const build of await store.list('build')) {
    const planned = await needsOf(store, build.id).catch(() => null)
    if (!planned?.run) continue
    const { view, run, facts, needs, dropped } = planned
    const had = new Set([...needs, ...dropped].map(({ id }) => id))
    const after = listFor({ ...view, recipes: [...view.recipes, body] }, run, facts)
    builds.push({
      id: build.id,
      name: build.name,
      adds: after.needs.filter(({ id }) => !had.has(id)).map(({ words }) => words),
    })
  }
  return { builds }
}
