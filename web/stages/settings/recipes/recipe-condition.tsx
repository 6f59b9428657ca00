import { useState } from 'react'
import { FACT_ROWS, type FactKey } from '../../../../core/facts/index.ts'
import { Combobox } from '../../../components/fields/combobox.tsx'
import { Select } from '../../../components/fields/select.tsx'
import { Button } from '../../../components/ui.tsx'
import { valueWords } from '../../known/question-row.tsx'
import { BLANK_LEAF, type Draft, type Group, type Leaf } from './recipe-draft.ts'

const ASKED = (Object.keys(FACT_ROWS) as FactKey[]).flatMap((key) => {
  const { asks } = FACT_ROWS[key]
  return asks ? [{ value: key, words: asks }] : []
})
const JOINS = [
  { value: 'all', words: 'all of these hold' },
  { value: 'any', words: 'any of these holds' },
] as const
const put = <T,>(list: readonly T[], at: number, one: T): readonly T[] =>
  list.map((held, i) => (i === at ? one : held))

/** When a recipe holds: groups of questions with their answers, joined by and, or, not. */
export function RecipeCondition({
  draft: { join, groups },
  onChange,
}: {
  draft: Draft
  onChange: (more: Pick<Draft, 'join' | 'groups'>) => void
}) {
  return (
    <fieldset className="mt-3">
      <legend className="font-semibold">When</legend>
      {groups.length > 1 && (
        <Select
          aria-label="How the groups are joined"
          isNarrow
          value={join}
          options={[
            { value: 'all', words: 'every group holds' },
            { value: 'any', words: 'any group holds' },
          ]}
          onChange={(value) => onChange({ join: value, groups })}
        />
      )}
      {groups.map((group, i) => (
        <GroupFields
          key={i}
          group={group}
          number={i + 1}
          isOnly={groups.length === 1}
          onChange={(next) =>
            onChange({
              join,
              groups: next ? put(groups, i, next) : groups.filter((_, at) => at !== i),
            })
          }
        />
      ))}
      <Button
        tone="quiet"
        onClick={() =>
          onChange({ join, groups: [...groups, { join: 'any', leaves: [BLANK_LEAF] }] })
        }
      >
        One more group
      </Button>
    </fieldset>
  )
}

function GroupFields({
  group: { join, leaves },
  number,
  isOnly,
  onChange,
}: {
  group: Group
  number: number
  isOnly: boolean
  onChange: (group: Group | null) => void
}) {
  const set = (at: number, leaf: Leaf): void => onChange({ join, leaves: put(leaves, at, leaf) })
  const named = (words: string, i: number): string =>
    isOnly ? `${words} ${i + 1}` : `${words} ${i + 1} of group ${number}`
  return (
    <div className="mt-1 border-l border-line pl-2">
      <span className="flex items-center gap-2">
        <Select
          aria-label={isOnly ? 'How they are joined' : `How group ${number} is joined`}
          isNarrow
          value={join}
          options={JOINS}
          onChange={(value) => onChange({ join: value, leaves })}
        />
        {!isOnly && (
          <Button tone="quiet" onClick={() => onChange(null)}>
            Leave out group {number}
          </Button>
        )}
      </span>
      {leaves.map((leaf, i) => (
        <div key={i} className="mt-1 flex flex-wrap items-center gap-2">
          <span className="min-w-0 flex-1">
            <Question
              label={named('Question', i)}
              value={leaf.key}
              onPick={(key) => set(i, { ...leaf, key, value: FACT_ROWS[key].values[0]! })}
            />
          </span>
          <Select
            aria-label={named('Is or is not', i)}
            isNarrow
            value={leaf.isNot ? 'not' : 'is'}
            options={[
              { value: 'is', words: 'is' },
              { value: 'not', words: 'is not' },
            ]}
            onChange={(value) => set(i, { ...leaf, isNot: value === 'not' })}
          />
          <Select
            aria-label={named('Answer', i)}
            isNarrow
            value={leaf.value}
            options={FACT_ROWS[leaf.key].values.map((value) => ({
              value,
              words: valueWords(value),
            }))}
            onChange={(value) => set(i, { ...leaf, value })}
          />
          <Button
            tone="quiet"
            aria-label={named('Leave out question', i)}
            disabled={leaves.length === 1}
            onClick={() => onChange({ join, leaves: leaves.filter((_, at) => at !== i) })}
          >
            Leave out
          </Button>
        </div>
      ))}
      <Button tone="quiet" onClick={() => onChange({ join, leaves: [...leaves, BLANK_LEAF] })}>
        {isOnly ? 'One more' : `One more in group ${number}`}
      </Button>
    </div>
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
