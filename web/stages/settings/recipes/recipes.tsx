import { useState } from 'react'
import { useAnswer } from '../../../api/answer.ts'
import { removeWithUndo } from '../../../api/hooks.ts'
import { HistoryButton } from '../../../components/history.tsx'
import { Row, Rows } from '../../../components/rows.tsx'
import { Button, Folded, Loaded } from '../../../components/ui.tsx'
import { RecipeBuilder } from './recipe-builder.tsx'
import type { RecipeRow } from './recipe-draft.ts'

/** The shop's own rows of the list: what it adds when, tried on the builds there are before it is kept. */
export function Recipes() {
  const [built, build] = useState<RecipeRow | 'new' | null>(null)
  return (
    <section aria-label="Recipes">
      <h2 className="mb-1 font-bold">Recipes of this shop</h2>
      <p className="mb-1 text-steel">
        Lines that every build gets when something holds: what went wrong once need not twice.
      </p>
      <RecipeRows onChange={build} />
      <p className="pt-2">
        <Button onClick={() => build('new')}>New recipe</Button>
      </p>
      {built && <RecipeBuilder held={built === 'new' ? null : built} onClose={() => build(null)} />}
    </section>
  )
}

/** The recipes there are, or those of one part. */
export function RecipeRows({
  ofPart,
  onChange,
}: {
  ofPart?: string
  onChange: (recipe: RecipeRow) => void
}) {
  const recipes = useAnswer('GET /recipes')
  return (
    <Loaded of={recipes} what="the recipes">
      {({ items }) => (
        <Rows label="Recipes">
          {items
            .filter(({ body }) => ofPart === undefined || body.ofPart === ofPart)
            .map((recipe) => (
              <Row
                key={recipe.id}
                end={
                  <>
                    <Button
                      tone="quiet"
                      aria-label={`Change ${recipe.name}`}
                      onClick={() => onChange(recipe)}
                    >
                      Change
                    </Button>
                    <HistoryButton entity="recipe" id={recipe.id} title={recipe.name} />
                    <Button
                      tone="quiet"
                      aria-label={`Take off ${recipe.name}`}
                      onClick={() =>
                        void removeWithUndo(
                          'DELETE /recipes/{id}',
                          { params: { id: recipe.id } },
                          `${recipe.name} is off.`,
                        )
                      }
                    >
                      Take off
                    </Button>
                  </>
                }
                below={
                  <Folded words="As JSON">
                    <pre className="overflow-x-auto text-[12px]">
                      {JSON.stringify(recipe.body, null, 1)}
                    </pre>
                  </Folded>
                }
              >
                {recipe.name}
                <span className="text-steel">
                  adds {recipe.body.add.map(({ words }) => words.toLowerCase()).join(', ')}
                </span>
              </Row>
            ))}
        </Rows>
      )}
    </Loaded>
  )
}
