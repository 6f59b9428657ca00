import { useId, useState } from 'react'
import { exact } from '../../core/ports/field.ts'
import type { SheetQuestion } from '../../core/sheets/sheet.ts'
import { INPUT } from './fields/field.tsx'
import { Radios } from './fields/radios.tsx'
import { optionsOf, Select } from './fields/select.tsx'
import { TypedInput } from './typed-input.tsx'

const CHOICES: Readonly<
  Record<'yes-no' | 'hit', readonly { readonly value: string; readonly words: string }[]>
> = {
  'yes-no': [
    { value: 'yes', words: 'Yes' },
    { value: 'no', words: 'No' },
    { value: 'unseen', words: 'Not seen' },
  ],
  hit: [
    { value: 'no', words: 'Sound' },
    { value: 'yes', words: 'Hit' },
    { value: 'unseen', words: 'Not seen' },
  ],
}

/** One question of a sheet: big enough for a tablet. */
export function SheetQuestionRow({
  question,
  value,
  onSay,
}: {
  question: SheetQuestion
  value: string
  onSay: (value: string) => void
}) {
  const id = useId()
  if (question.type === 'yes-no' || question.type === 'hit') {
    const isBad =
      (question.type === 'hit' && value === 'yes') || (question.type === 'yes-no' && value === 'no')
    return (
      <fieldset className="border-b border-line py-1.5">
        <legend className="float-left w-[calc(100%-270px)] pr-3 pt-1.5">{question.words}</legend>
        <Radios
          label={question.words}
          value={value}
          options={CHOICES[question.type]}
          onChange={onSay}
          isBoxed
          className="w-[270px] justify-end"
        />
        {isBad && question.risk && (
          <p className="clear-both border-l-[3px] border-clash pl-2">{question.risk}</p>
        )}
      </fieldset>
    )
  }
  if (question.type === 'choice' || question.type === 'date')
    return (
      <div className="grid grid-cols-[minmax(0,1fr)_270px] items-start gap-3 border-b border-line py-1.5 max-[560px]:grid-cols-1">
        <label htmlFor={id} className="pt-1.5">
          {question.words}
        </label>
        {question.type === 'date' ? (
          <input
            id={id}
            type="date"
            value={value}
            onChange={(event) => onSay(event.target.value)}
            className={INPUT}
          />
        ) : (
          <Select
            id={id}
            value={value}
            options={optionsOf(question.choices ?? [])}
            nothing="Not said"
            onChange={onSay}
          />
        )}
      </div>
    )
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_270px] items-start gap-3 border-b border-line py-1.5">
      <label htmlFor={id} className="pt-1.5">
        {question.words}
      </label>
      <Written id={id} question={question} value={value} onSay={onSay} />
    </div>
  )
}

/** Kept when the field is left: half a word is no answer. */
function Written({
  id,
  question,
  value,
  onSay,
}: {
  id: string
  question: SheetQuestion
  value: string
  onSay: (value: string) => void
}) {
  const [typed, setTyped] = useState<string | null>(null)
  const shown = typed ?? value
  const leave = (): void => {
    if (typed !== null && typed.trim() !== value) onSay(typed.trim())
    setTyped(null)
  }
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: only hears that the field inside is left.
    <div onBlur={leave}>
      {question.type === 'quantity' ? (
        <TypedInput
          id={id}
          words={exact(question.words, question.unit ?? '')}
          value={shown}
          onChange={setTyped}
        />
      ) : (
        <input
          id={id}
          value={shown}
          onChange={(event) => setTyped(event.target.value)}
          autoComplete="off"
          className={INPUT}
        />
      )}
    </div>
  )
}
