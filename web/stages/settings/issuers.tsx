import { useMemo, useState } from 'react'
import type { Answer } from '../../../contract/asked.ts'
import { useAnswer } from '../../api/answer.ts'
import { call } from '../../api/client.ts'
import { write } from '../../api/hooks.ts'
import { Dialog } from '../../components/dialog.tsx'
import { Form } from '../../components/form.tsx'
import type { Column } from '../../components/table/column.ts'
import { DataTable } from '../../components/table/data-table.tsx'
import { Button, Folded } from '../../components/ui.tsx'
import { RuleForm } from './rule-form.tsx'

type Issuer = Answer<'GET /issuers'>['items'][number]
const NONE: readonly Issuer[] = []

const columnsOf = (change: (id: string) => void): readonly Column<Issuer>[] => [
  { id: 'name', head: 'Issuer', isFixed: true, className: 'figure', value: ({ name }) => name },
  { id: 'case', head: 'Case counts', value: ({ upper }) => (upper ? 'no' : 'yes') },
  {
    id: 'noise',
    head: 'Noise',
    className: 'figure',
    value: ({ noise }) => [...noise].map((mark) => (mark === ' ' ? 'space' : mark)).join('  '),
  },
  {
    id: 'shapes',
    head: 'Shapes',
    className: 'figure',
    value: ({ rule }) => rule?.shapes.join('  '),
  },
  {
    id: 'actions',
    head: 'Actions',
    isActions: true,
    align: 'right',
    value: () => null,
    cell: ({ id, name }) => (
      <Button tone="quiet" aria-label={`Change ${name}`} onClick={() => change(id)}>
        Change
      </Button>
    ),
  },
]

/** Who issues part numbers, and how each writes them. */
export function Issuers() {
  const issuers = useAnswer('GET /issuers')
  const [editingId, setEditingId] = useState<string | null>(null)
  const columns = useMemo(() => columnsOf(setEditingId), [])
  const editing = issuers.data?.items.find((one) => one.id === editingId)
  return (
    <section>
      <h2 className="font-bold">Issuers of part numbers</h2>
      <p className="mb-1 text-steel">
        How each writes its numbers: which marks are noise. O and 0 are never taken for one another.
      </p>
      <DataTable
        id="issuers"
        what="issuers"
        rows={issuers.data?.items ?? NONE}
        columns={columns}
        keyOf={(issuer) => issuer.id}
        onOpen={(issuer) => setEditingId(issuer.id)}
      />
      <Folded words="Add an issuer">
        <Form
          id="new-issuer"
          fields={[
            { name: 'name', label: 'Name', type: 'text', required: true },
            {
              name: 'noise',
              label: 'Marks that are noise',
              type: 'text',
              hint: 'Blank: space, dot, dash',
            },
            { name: 'upper', label: 'Case does not count', type: 'check' },
          ]}
          initial={{ upper: true }}
          action="Add issuer"
          submit={({ noise, ...values }) =>
            write(() =>
              call('POST /issuers', {
                body: { ...values, ...(noise ? { noise: ` ${noise}` } : {}) },
              }),
            )
          }
        />
      </Folded>
      {editing && (
        <Dialog
          open
          onOpenChange={() => setEditingId(null)}
          title={`How ${editing.name} writes its numbers`}
        >
          <RuleForm key={editing.id} issuer={editing} onDone={() => setEditingId(null)} />
        </Dialog>
      )}
    </section>
  )
}
