import { useState } from 'react'
import { FACT_ROWS, type FactKey } from '../../../core/facts/index.ts'
import type { Condition } from '../../../core/needs/condition.ts'
import { LINE_PLACES, placeWords } from '../../../core/needs/line.ts'
import { useAnswer } from '../../api/answer.ts'
import { call } from '../../api/client.ts'
import { act, removeWithUndo } from '../../api/hooks.ts'
import { Dialog } from '../../components/dialog.tsx'
import { Combobox } from '../../components/fields/combobox.tsx'
import { INPUT } from '../../components/fields/field.tsx'
import { Select } from '../../components/fields/select.tsx'
import { Row, Rows } from '../../components/rows.tsx'
import { Button, Folded, Loaded } from '../../components/ui.tsx'

interface Leaf {
  readonly key: FactKey
  readonly value: string
  readonly isNot: boolean
}
interface Added {
  readonly words: string
  readonly place: string
}

const ASKED = (Object.keys(FACT_ROWS) as FactKey[]).flatMap((key) => {
  const { asks } = FACT_ROWS[key]
  return asks ? { value: key, words: asks } : []
})
const conditionOf = (join: 'all' | 'any', leaves: readonly Leaf[]): Condition => {
  const each = leaves.map(({ key, value, isNot }): Condition => {
    const is: Condition = { is: key, of: [value] }
    return isNot ? { not: is } : is
  })
  return join === 'all' ? { all: each } : { any: each }
}

/** The shop's own rows of the list: what it adds when, tried on the builds there are before it is kept. */
export function Recipes() {
  const recipes = useAnswer('GET /recipes')
  const [isBuilding, setBuilding] = useState(false)
  return (
    <section aria-label="Recipes">
      <h2 className="mb-1 font-bold">Recipes of this shop</h2>
      <p className="mb-1 text-steel">
        Lines that every build gets when something holds: what went wrong once need not twice.
      </p>
      <Loaded of={recipes} what="the recipes">
        {({ items }) => (
          <Rows label="Recipes">
            {items.map(({ id, name, body }) => (
              <Row
                key={id}
                end={
                  <Button
                    tone="quiet"
                    aria-label={`Take off ${name}`}
                    onClick={() =>
                      void removeWithUndo(
                        'DELETE /recipes/{id}',
                        { params: { id } },
                        `${name} is off.`,
                      )
                    }
                  >
                    Take off
                  </Button>
                }
                below={
                  <Folded words="As JSON">
                    <pre className="overflow-x-auto text-[12px]">
                      {JSON.stringify(body, null, 1)}
                    </pre>
                  </Folded>
                }
              >
                {name}
                <span className="text-steel">
                  adds {body.add.map(({ words }) => words.toLowerCase()).join(', ')}
                </span>
              </Row>
            ))}
          </Rows>
        )}
      </Loaded>
      <p className="pt-2">
        <Button onClick={() => setBuilding(true)}>New recipe</Button>
      </p>
      {isBuilding && <Builder onClose={() => setBuilding(false)} />}
    </section>
  )
}

function Builder({ onClose }: { onClose: () => void }) {
  const [name, setName] = useState('')
  const [join, setJoin] = useState<'all' | 'any'>('all')
  const [leaves, setLeaves] = useState<readonly Leaf[]>([
    { key: 'build.engine', value: 'other', isNot: false },
  ])
  const [lines, setLines] = useState<readonly Added[]>([{ words: '', place: 'shop' }])
  const [json, setJson] = useState('')
  const [tried, setTried] = useState<string | null>(null)
  const change = <T,>(list: readonly T[], at: number, one: T): readonly T[] =>
    list.map((held, i) => (i === at ? one : held))
  const recipe = () => ({
    name: name.trim() || 'Recipe',
    body: json.trim()
      ? JSON.parse(json)
      : {
          id: `shop-${
            name
              .trim()
              .toLowerCase()
              .replace(/[^a-z0-9]+/g, '-')
              .slice(0, 60) || 'recipe'
          }`,
          when: conditionOf(join, leaves),
          add: lines
            .filter(({ words }) => words.trim() !== '')
            .map(({ words, place }) => ({
              kind: `shop:${words
                .trim()
                .toLowerCase()
                .replace(/[^a-z0-9]+/g, '-')
                .slice(0, 60)}`,
              words: words.trim(),
              place,
            })),
        },
  })
  return (
    <Dialog open onOpenChange={onClose} title="New recipe" size="wide">
      <label className="block">
        Name
        <input
          className={`${INPUT} mt-1 w-full`}
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
      </label>
      <fieldset className="mt-3">
        <legend className="font-semibold">When</legend>
        <Select
          aria-label="How they are joined"
          isNarrow
          value={join}
          options={[
            { value: 'all', words: 'all of these hold' },
            { value: 'any', words: 'any of these holds' },
          ]}
          onChange={(value) => setJoin(value as 'all')}
        />
        {leaves.map((leaf, i) => (
          <div key={i} className="mt-1 flex flex-wrap items-center gap-2">
            <span className="min-w-0 flex-1">
              <Question
                label={`Question ${i + 1}`}
                value={leaf.key}
                onPick={(key) =>
                  setLeaves(change(leaves, i, { ...leaf, key, value: FACT_ROWS[key].values[0]! }))
                }
              />
            </span>
            <Select
              aria-label={`Is or is not ${i + 1}`}
              isNarrow
              value={leaf.isNot ? 'not' : 'is'}
              options={[
                { value: 'is', words: 'is' },
                { value: 'not', words: 'is not' },
              ]}
              onChange={(value) =>
                setLeaves(change(leaves, i, { ...leaf, isNot: value === 'not' }))
              }
            />
            <Select
              aria-label={`Answer ${i + 1}`}
              isNarrow
              value={leaf.value}
              options={FACT_ROWS[leaf.key].values.map((value) => ({ value, words: value }))}
              onChange={(value) => setLeaves(change(leaves, i, { ...leaf, value }))}
            />
            <Button
              tone="quiet"
              aria-label={`Leave out question ${i + 1}`}
              disabled={leaves.length === 1}
              onClick={() => setLeaves(leaves.filter((_, at) => at !== i))}
            >
              Leave out
            </Button>
          </div>
        ))}
        <Button
          tone="quiet"
          onClick={() =>
            setLeaves([...leaves, { key: 'build.engine', value: 'other', isNot: false }])
          }
        >
          One more
        </Button>
      </fieldset>
      <fieldset className="mt-3">
        <legend className="font-semibold">Add</legend>
        {lines.map((line, i) => (
          <div key={i} className="mt-1 flex flex-wrap items-center gap-2">
            <input
              aria-label={`Line ${i + 1}`}
              className={`${INPUT} flex-1`}
              value={line.words}
              onChange={(event) =>
                setLines(change(lines, i, { ...line, words: event.target.value }))
              }
            />
            <Select
              aria-label={`Place of line ${i + 1}`}
              isNarrow
              value={line.place}
              options={LINE_PLACES.map((place) => ({ value: place, words: placeWords(place) }))}
              onChange={(place) => setLines(change(lines, i, { ...line, place }))}
            />
          </div>
        ))}
        <Button tone="quiet" onClick={() => setLines([...lines, { words: '', place: 'shop' }])}>
          One more line
        </Button>
      </fieldset>
      <Folded words="From JSON instead">
        <textarea
          aria-label="Recipe as JSON"
          className={`${INPUT} h-28 w-full font-mono`}
          value={json}
          onChange={(event) => setJson(event.target.value)}
        />
      </Folded>
      {tried && (
        <p role="status" className="mt-2 border-l-[3px] border-rule pl-2">
          {tried}
        </p>
      )}
      <p className="mt-3 flex gap-2">
        <Button
          onClick={() =>
            void act(async () => {
              const { builds } = await call('POST /recipes/try', { body: recipe() })
              const with_ = builds.filter(({ adds }) => adds.length > 0)
              setTried(
                `It would have added ${with_.reduce((sum, { adds }) => sum + adds.length, 0)} lines in ${with_.length} of ${builds.length} builds${with_.length > 0 ? `: ${with_.map(({ name }) => name).join(', ')}` : ''}.`,
              )
            })
          }
        >
          Try it on the builds there are
        </Button>
        <Button
          tone="main"
          onClick={() =>
            void act(async () => {
              await call('POST /recipes', { body: recipe() })
              onClose()
            }, 'Recipe kept.')
          }
        >
          Keep recipe
        </Button>
      </p>
    </Dialog>
  )
}

/** One of the facts, found by the words of its question. */
function Question({
  label,
  value,
  onPick,
}: {
  label: string
  value: FactKey
  onPick: (key: FactKey) => void
}) {
  const [words, setWords] = useState('')
  const found = ASKED.filter((one) => one.words.toLowerCase().includes(words.toLowerCase()))
    .slice(0, 40)
    .map((one) => ({ id: one.value, name: one.words }))
  return (
    <Combobox
      aria-label={label}
      shown={FACT_ROWS[value].asks ?? value}
      words={words}
      onSearch={setWords}
      found={found}
      onPick={(choice) => choice && onPick(choice.id as FactKey)}
      placeholder="Find a question"
      none="No question of these words."
    />
  )
}
