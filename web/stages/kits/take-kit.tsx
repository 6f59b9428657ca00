import type { KitsCompared } from '../../../contract/answers/kits.ts'
import { call } from '../../api/client.ts'
import { act } from '../../api/hooks.ts'
import { usePerson } from '../../api/person.ts'
import { Dialog } from '../../components/dialog.tsx'
import { Form } from '../../components/form.tsx'

/** Takes a kit for the pairing; another than is recommended for a reason, which is kept. */
export function TakeKit({
  build,
  kit,
  found,
  onClose,
}: {
  build: string
  kit: KitsCompared['kits'][number]
  found: KitsCompared
  onClose: () => void
}) {
  const { name } = usePerson()
  const { kitId: recommendedId, because: reasons } = found.recommended
  const other = found.kits.find(({ id }) => id === recommendedId && id !== kit.id)
  return (
    <Dialog open onOpenChange={onClose} title={`Take ${kit.name}`}>
      <p className="mb-3">
        Its pieces go onto the pairing, and the plan keeps it.
        {other && ` By the figures ${other.name} comes first: what speaks for this one?`}
      </p>
      <Form
        id={`take-${build}-${kit.id}`}
        columns={1}
        fields={[
          {
            name: 'because',
            label: other ? 'Why this one all the same' : 'Why, for whoever asks later',
            type: 'area',
            required: other !== undefined,
          },
        ]}
        initial={{}}
        action={`Take ${kit.name}`}
        submit={async ({ because }) => {
          const isDone = await act(
            () =>
              call('POST /builds/{id}/kits', {
                params: { id: build },
                body: {
                  kitId: kit.id,
                  recommendedId,
                  reasons: reasons.map((one) => one.slice(0, 300)),
                  because,
                  saidBy: name || null,
                },
              }),
            `${kit.name} is taken. Solve again to plan with it.`,
          )
          if (isDone) onClose()
        }}
      />
    </Dialog>
  )
}
