import { useState } from 'react'
import { kindWords } from '../../core/ports/part-kinds.ts'
import { useAnswer } from '../api/answer.ts'

/** Finds a part by name or number and hands it over. */
export function PartPicker({
  label,
  onPick,
}: {
  label: string
  onPick: (part: { id: string; name: string }) => void
}) {
  const [q, setQ] = useState('')
  const found = useAnswer('GET /parts', { query: { limit: 12, q } })
  return (
    <div>
      <label className="block">
        <span className="mb-1 block font-semibold">{label}</span>
        <input
          value={q}
          onChange={(event) => setQ(event.target.value)}
          placeholder="name or part number"
          className="w-full rounded border border-steel bg-ground px-2 py-1.5"
        />
      </label>
      {q.trim() !== '' && (
        <ul
          className="max-h-52 overflow-y-auto border-x border-b border-line"
          aria-label="Parts found"
        >
          {found.data?.items.map((part) => (
            <li key={part.id}>
              <button
                type="button"
                className="w-full px-2 py-1 text-left hover:bg-bench"
                onClick={() => {
                  onPick(part)
                  setQ('')
                }}
              >
                {part.name} <span className="text-steel">{kindWords(part.kind)}</span>
              </button>
            </li>
          ))}
          {found.data?.items.length === 0 && (
            <li className="px-2 py-1 text-steel">
              No part is called that. Add it in Catalogue first.
            </li>
          )}
        </ul>
      )}
    </div>
  )
}
