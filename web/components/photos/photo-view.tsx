import type { StoredRow } from '../../../contract/stored.ts'
import { refresh } from '../../api/answer.ts'
import { call } from '../../api/client.ts'
import { removeWithUndo } from '../../api/hooks.ts'
import { Dialog } from '../dialog.tsx'
import { Form } from '../form.tsx'
import { Button } from '../ui.tsx'

const NOTE = [{ name: 'note', label: 'What it shows', type: 'text', wide: true }] as const

/** A picture whole: when it was taken and by whom, what it shows, and the way to remove it. */
export const PhotoView = ({
  photo,
  onClose,
}: {
  photo: StoredRow<'photo'>
  onClose: () => void
}) => (
  <Dialog open onOpenChange={onClose} title={photo.note || 'Photo'} size="wide">
    <img
      src={`/api/photos/${photo.id}/image`}
      alt={photo.note ?? ''}
      width={photo.widthPx}
      height={photo.heightPx}
      className="mb-2 h-auto max-h-[58vh] w-full object-contain"
    />
    <p className="mb-2 flex flex-wrap items-center gap-x-4 text-steel">
      <span>
        {[photo.takenAt && `taken ${photo.takenAt.replace('T', ' ')}`, photo.saidBy]
          .filter(Boolean)
          .join(', ')}
      </span>
      <a
        className="text-accent underline underline-offset-2"
        href={`/api/photos/${photo.id}/image`}
        target="_blank"
        rel="noreferrer"
      >
        Open it alone
      </a>
      <Button
        tone="quiet"
        onClick={() =>
          void removeWithUndo(
            'DELETE /photos/{id}',
            { params: { id: photo.id } },
            'The photo is in the trash.',
          ).then((done) => done && onClose())
        }
      >
        Remove
      </Button>
    </p>
    <Form
      id={`photo-${photo.id}`}
      fields={NOTE}
      initial={photo}
      action="Save"
      submit={async ({ note }) => {
        await call('PATCH /photos/{id}', {
          params: { id: photo.id },
          body: { version: photo.version, note },
        })
        await refresh()
        onClose()
      }}
    />
  </Dialog>
)
