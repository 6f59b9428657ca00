import { useState } from 'react'
import type { Answer } from '../../../contract/asked.ts'
import { CATALOGUE_OPTIONS } from '../../../core/needs/catalogue-kinds.ts'
import { call } from '../../api/client.ts'
import { act } from '../../api/hooks.ts'
import { undoNewest } from '../../api/undo.ts'
import { Select } from '../../components/fields/select.tsx'
import { Button, ButtonLink } from '../../components/ui.tsx'
import { MOST_BESIDE } from './most-beside.ts'

type PartRow = Answer<'GET /parts'>['items'][number]

/** What can be done with the parts that are marked: read side by side, given a kind, or what their numbers and words tell of them. */
export function Marked({ parts, onDone }: { parts: readonly PartRow[]; onDone: () => void }) {
  const [kind, setKind] = useState('')
  const suggested = parts.flatMap(({ id, version, suggested: told }) =>
    told === null
      ? []
      : [{ id, version, kind: told.kind, ...(told.family ? { family: told.family } : {}) }],
  )
  const set = (
    all: readonly { id: string; version: number; kind: string; family?: string }[],
  ): void =>
    void act(
      () => call('POST /parts/kinds', { body: { parts: [...all] } }),
      `${all.length} ${all.length === 1 ? 'part has' : 'parts have'} their kind.`,
      undoNewest,
    ).then((isDone) => isDone && onDone())
  return (
    <>
      {parts.length >= 2 && parts.length <= MOST_BESIDE && (
        <ButtonLink
          to={`/catalogue/beside?parts=${parts.map(({ id }) => encodeURIComponent(id)).join(',')}`}
        >
          Side by side: {parts.length}
        </ButtonLink>
      )}
      <Select
        aria-label="Kind of those marked"
        value={kind}
        options={CATALOGUE_OPTIONS}
        nothing={`Kind of ${parts.length} marked`}
        onChange={setKind}
        isNarrow
      />
      {kind !== '' && (
        <Button onClick={() => set(parts.map(({ id, version }) => ({ id, version, kind })))}>
          Set it
        </Button>
      )}
      {suggested.length > 0 && (
        <Button onClick={() => set(suggested)}>Take what is suggested: {suggested.length}</Button>
      )}
      <Button tone="quiet" onClick={onDone}>
        Unmark
      </Button>
    </>
  )
}
