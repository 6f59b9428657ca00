import { type ComponentProps, useState } from 'react'
import { kindWords } from '../../../core/ports/part-kinds.ts'
import { Combobox } from './combobox.tsx'
import { useFoundParts } from './found-parts.ts'

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
  ...rest
}: {
  kind?: string
  shown: string
  nothing?: string | undefined
  onPick: (part: { readonly id: string; readonly name: string } | null) => void
  /** A part that is not to choose: the one this is about. */
  except?: string
} & Omit<ComponentProps<'button'>, 'children'>) {
  const [words, setWords] = useState('')
  const [isWanted, want] = useState(false)
  const found = useFoundParts(isWanted, kind, words)
  return (
    <Combobox
      {...rest}
      onPointerDown={() => want(true)}
      onFocus={() => want(true)}
      shown={shown}
      words={words}
      onSearch={setWords}
      found={found
        ?.filter(({ id }) => id !== except)
        .map((part) => ({
          id: part.id,
          name: part.name,
          ...(kind && !kind.includes(',') ? {} : { detail: kindWords(part.kind) }),
        }))}
      nothing={nothing}
      onPick={onPick}
      placeholder="Name or part number"
      none="No part is called that. Add it in Catalogue first."
    />
  )
}
