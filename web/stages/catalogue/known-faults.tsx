import { useState } from 'react'
import type { PartDetail } from '../../../contract/answers/catalogue.ts'
import { Button } from '../../components/ui.tsx'
import { RecipeBuilder } from '../settings/recipes/recipe-builder.tsx'
import type { RecipeRow } from '../settings/recipes/recipe-draft.ts'
import { RecipeRows } from '../settings/recipes/recipes.tsx'

/** What a shop knows to go wrong with a part: every build that it is in gets the lines that cure it. */
export function KnownFaults({ part }: { part: PartDetail }) {
  const [built, build] = useState<RecipeRow | 'new' | null>(null)
  return (
    <section aria-label="Known faults">
      <h2 className="mb-1 font-bold">Known faults</h2>
      <RecipeRows ofPart={part.id} onChange={build} />
      <Button onClick={() => build('new')}>Add a known fault</Button>
      {built && (
        <RecipeBuilder
          held={built === 'new' ? null : built}
          faultOf={{ id: part.id, name: part.name }}
          onClose={() => build(null)}
        />
      )}
    </section>
  )
}
