import { useState } from 'react'
import { LINE_PLACES, placeWords } from '../../../../core/needs/line.ts'
import type { Recipe } from '../../../../core/needs/recipe.ts'
import { call } from '../../../api/client.ts'
import { act, usePart } from '../../../api/hooks.ts'
import { Dialog } from '../../../components/dialog.tsx'
import { Check } from '../../../components/fields/check.tsx'
import { INPUT } from '../../../components/fields/field.tsx'
import { Select } from '../../../components/fields/select.tsx'
import { Button, Folded } from '../../../components/ui.tsx'
import { RecipeCondition } from './recipe-condition.tsx'
import {
  type Added,
  BLANK,
  BLANK_LINE,
  bodyOf,
  type Draft,
  draftOf,
  type RecipeRow,
} from './recipe-draft.ts'

/**
 * A recipe, new or changed: when it holds and what it adds, by pickers or as JSON; tried before it is kept.
 * @param faultOf the part whose known fault it cures
 */
export function RecipeBuilder({
  held,
  faultOf,
  onClose,
}: {
  held: RecipeRow | null
  faultOf?: { readonly id: string; readonly name: string }
  onClose: () => void
}) {
  const partName = usePart(held?.body.ofPart).data?.name ?? null
  const read = held && draftOf(held.name, held.body as Recipe, partName)
  const [draft, setDraft] = useState<Draft>(
    read ?? {
      ...BLANK,
      name: held?.name ?? '',
      ofPart: faultOf ?? null,
      isFault: faultOf !== undefined,
    },
  )
  const [json, setJson] = useState(held && !read ? JSON.stringify(held.body, null, 1) : '')
  const [told, setTold] = useState<{ words: string; isFault: boolean } | null>(null)
  const set = (more: Partial<Draft>): void => setDraft((before) => ({ ...before, ...more }))
  const recipe = (): { name: string; body: Recipe } | null => {
    try {
      return {
        name: draft.name.trim() || 'Recipe',
        body: json.trim() ? JSON.parse(json) : bodyOf(draft, held?.body as Recipe | undefined),
      }
    } catch (error) {
      const words =
        error instanceof SyntaxError
          ? `That is no JSON: ${error.message}. Mend it, or clear it and use the pickers.`
          : (error as Error).message
      setTold({ words, isFault: true })
      return null
    }
  }
  const tryIt = (): void => {
    const body = recipe()
    if (!body) return
    void act(async () => {
      const { builds } = await call('POST /recipes/try', { body })
      const changed = builds.filter(({ adds }) => adds.length > 0)
      const lines = changed.reduce((sum, { adds }) => sum + adds.length, 0)
      setTold({
        words: `It would have added ${lines} ${lines === 1 ? 'line' : 'lines'} in ${changed.length} of ${builds.length} builds${changed.length > 0 ? `: ${changed.map(({ name }) => name).join(', ')}` : ''}.`,
        isFault: false,
      })
    })
  }
  const keep = (): void => {
    const body = recipe()
    if (!body) return
    void act(async () => {
      if (held)
        await call('PATCH /recipes/{id}', {
          params: { id: held.id },
          body: { version: held.version, ...body },
        })
      else await call('POST /recipes', { body })
      onClose()
    }, 'Recipe kept.')
  }
  return (
    <Dialog
      open
      onOpenChange={onClose}
      title={held ? 'Change a recipe' : draft.isFault ? 'A known fault' : 'New recipe'}
      size="wide"
    >
      <label className="block">
        Name
        <input
          className={`${INPUT} mt-1 w-full`}
          value={draft.name}
          onChange={(event) => set({ name: event.target.value })}
        />
      </label>
      {draft.ofPart && (
        <>
          <p className="mt-2">
            Only where <b>{draft.ofPart.name}</b> is in the build.{' '}
            <Button tone="quiet" onClick={() => set({ ofPart: null, isFault: false })}>
              In every build
            </Button>
          </p>
          <Check isChecked={draft.isFault} onChange={(isFault) => set({ isFault })}>
            It cures a known fault of it
          </Check>
        </>
      )}
      <RecipeCondition draft={draft} onChange={set} />
      <Lines lines={draft.lines} onChange={(lines) => set({ lines })} />
      <Folded words="From JSON instead" isOpen={json !== '' || undefined}>
        <textarea
          aria-label="Recipe as JSON"
          className={`${INPUT} h-28 w-full font-mono`}
          value={json}
          onChange={(event) => setJson(event.target.value)}
        />
      </Folded>
      {told && (
        <p
          role={told.isFault ? 'alert' : 'status'}
          className={`mt-2 border-l-[3px] pl-2 ${told.isFault ? 'border-clash' : 'border-rule'}`}
        >
          {told.words}
        </p>
      )}
      <p className="mt-3 flex gap-2">
        <Button onClick={tryIt}>Try it on the builds there are</Button>
        <Button tone="main" onClick={keep}>
          Keep recipe
        </Button>
      </p>
    </Dialog>
  )
}

/** What it adds, each with its place and what it usually costs and takes. */
function Lines({
  lines,
  onChange,
}: {
  lines: readonly Added[]
  onChange: (lines: readonly Added[]) => void
}) {
  const set = (at: number, more: Partial<Added>): void =>
    onChange(lines.map((line, i) => (i === at ? { ...line, ...more } : line)))
  return (
    <fieldset className="mt-3">
      <legend className="font-semibold">Add</legend>
      <p className="text-steel">
        Euros and hours as one figure, or the least and the most: 30-80. Blank counts nothing.
      </p>
      {lines.map((line, i) => (
        <div key={i} className="mt-1 flex flex-wrap items-center gap-2">
          <input
            aria-label={`Line ${i + 1}`}
            className={`${INPUT} min-w-[180px] flex-1`}
            value={line.words}
            onChange={(event) => set(i, { words: event.target.value })}
          />
          <Select
            aria-label={`Place of line ${i + 1}`}
            isNarrow
            value={line.place}
            options={LINE_PLACES.map((place) => ({ value: place, words: placeWords(place) }))}
            onChange={(place) => set(i, { place })}
          />
          {(['eur', 'hours'] as const).map((field) => (
            <span key={field} className="w-[84px]">
              <input
                aria-label={`${field === 'eur' ? 'Euros' : 'Hours'} of line ${i + 1}`}
                placeholder={field === 'eur' ? 'EUR' : 'h'}
                className={`${INPUT} figure text-right`}
                value={line[field]}
                onChange={(event) => set(i, { [field]: event.target.value })}
              />
            </span>
          ))}
        </div>
      ))}
      <Button tone="quiet" onClick={() => onChange([...lines, BLANK_LINE])}>
        One more line
      </Button>
    </fieldset>
  )
}
