import type { AnyPort } from '../../ports/index.ts'
import { PORT_KINDS } from '../../ports/index.ts'
import type { Each } from './declaration.ts'
import { lookUp, type Scene } from './scene.ts'

export interface Instance {
  readonly scene: Scene
  /** Where it is judged, in a list repeated over. */
  readonly at: string | undefined
}

/** The scenes a limit is judged in, or a figure shown: one, or one for each rating or entry it repeats over. */
export function instancesOf({ each }: { readonly each?: Each }, scene: Scene): readonly Instance[] {
  if (!each) return [{ scene, at: undefined }]
  if ('ratings' in each) {
    const found = scene.b.ratings.filter((rating) => each.ratings(rating.slot))
    const ratings = found.length === 0 && each.orMissing ? [PORT_KINDS.ratings.missing] : found
    return ratings.map((rating) => ({
      scene: { ...scene, each: rating as unknown as AnyPort },
      at: rating.torqueNm.at.partName,
    }))
  }
  const list = lookUp(each.list, scene)
  const entries: readonly unknown[] = list.claim !== null ? list.v : [each.unknown]
  return entries.map((entry) => ({ scene: { ...scene, item: entry }, at: each.at(entry) }))
}
