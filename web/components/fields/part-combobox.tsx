import { type ComponentProps, useState } from 'react'
import { kindWords } from '../../../core/ports/part-kinds.ts'
import { useAnswer } from '../../api/answer.ts'
import { call } from '../../api/client.ts'
import { act } from '../../api/hooks.ts'
import { type Choice, Combobox } from './combobox.tsx'
import { useFoundParts } from './found-parts.ts'

const OF_TYPE = 'template:'

/**
 * A part of the catalogue, found by name or number among all there are.
 * @param kind only parts of this kind, or of these with commas between; any without it
 */
export function PartCombobox({
  kind,
  shown,
  nothing,
  onPick,
  except,
  makesOfType = false,
  ...rest
}: {
  kind?: string
  shown: string
  nothing?: string | undefined
  onPick: (part: { readonly id: string; readonly name: string } | null) => void
  /** A part that is not to choose: the one this is about. */
  except?: string
  /** One of a type is offered as well: chosen, it is made, with assumed values. */
  makesOfType?: boolean
} & Omit<ComponentProps<'button'>, 'children'>) {
  const [words, setWords] = useState('')
  const [isWanted, want] = useState(false)
  const found = useFoundParts(isWanted, kind, words)
  const types = useAnswer('GET /templates', isWanted && makesOfType ? {} : null).data?.templates
  const wanted = words.trim().toLowerCase()
  const pick = (choice: Choice | null): void => {
    const type = types?.find(({ id }) => `${OF_TYPE}${id}` === choice?.id)
    if (!type) onPick(choice)
    else
      void act(
        async () =>
          onPick(
            await call('POST /parts', {
              body: { kind: type.kind, name: type.words, template: type.id },
            }),
          ),
        `Made, with values assumed of its type. Measure what decides.`,
      )
  }
  return (
    <Combobox
      {...rest}
      onPointerDown={() => want(true)}
      onFocus={() => want(true)}
      shown={shown}
      words={words}
      onSearch={setWords}
      found={
        found && [
          ...found
            .filter(({ id }) => id !== except)
            .map((part) => ({
              id: part.id,
              name: part.name,
              ...(kind && !kind.includes(',') ? {} : { detail: kindWords(part.kind) }),
              ...(makesOfType ? { group: 'In the catalogue' } : {}),
            })),
          ...(types ?? [])
            .filter((one) => one.kind === kind && one.words.toLowerCase().includes(wanted))
            .map((one) => ({
              id: `${OF_TYPE}${one.id}`,
              name: `${one.words}, about ${one.massKg} kg`,
              group: 'A type, assumed values',
            })),
        ]
      }
      nothing={nothing}
      onPick={pick}
      placeholder="Name or part number"
      none="No part is called that. Add it in Catalogue first."
    />
  )
}
