import clsx from 'clsx'
import { type DragEvent, useState } from 'react'
import { PHOTO_TYPES } from '../../../contract/files.ts'
import type { StoredRow } from '../../../contract/stored.ts'
import { useAnswer } from '../../api/answer.ts'
import { type PhotosOf, usePhotoQueue } from '../../api/photo-queue.ts'
import { PhotoView } from './photo-view.tsx'
import { usePasted } from './use-pasted.ts'
import { WaitingThumb } from './waiting-thumb.tsx'

const PICTURES: readonly string[] = PHOTO_TYPES
const picturesOf = (files: Iterable<File>): File[] =>
  [...files].filter(({ type }) => PICTURES.includes(type))

/** Pictures of something: added by file, by dropping or pasting them, by a phone's camera; opened by a tap. */
export function Photos({ of, what }: { of: PhotosOf; what: string }) {
  const photos = useAnswer('GET /photos', { query: of }).data?.items ?? []
  const { waiting, add, takeOut } = usePhotoQueue(of)
  const [shown, show] = useState<StoredRow<'photo'> | null>(null)
  const [isOver, setOver] = useState(false)
  const [said, setSaid] = useState('')
  const take = (files: Iterable<File>): void => {
    const all = [...files]
    const pictures = picturesOf(all)
    setSaid(pictures.length < all.length ? 'Only JPEG, PNG and WebP pictures are kept.' : '')
    if (pictures.length > 0) void add(pictures)
  }
  usePasted(take)
  const drop = (event: DragEvent): void => {
    event.preventDefault()
    setOver(false)
    take(event.dataTransfer.files)
  }
  return (
    <section
      aria-label={`Photos of ${what}`}
      className="print:hidden"
      onDragOver={(event) => {
        event.preventDefault()
        setOver(true)
      }}
      onDragLeave={() => setOver(false)}
      onDrop={drop}
    >
      <h2 className="font-bold">Photos</h2>
      <div
        className={clsx('flex flex-wrap gap-2 rounded py-1', isOver && 'outline outline-accent')}
      >
        {photos.map((photo) => (
          <button
            key={photo.id}
            type="button"
            aria-label={`Open photo: ${photo.note ?? photo.takenAt ?? what}`}
            onClick={() => show(photo)}
          >
            <img
              src={`/api/photos/${photo.id}/thumb`}
              alt={photo.note ?? ''}
              loading="lazy"
              className="h-20 rounded border border-line"
            />
          </button>
        ))}
        {waiting.map((photo) => (
          <WaitingThumb key={photo.id} photo={photo} onTakeOut={() => void takeOut(photo.id)} />
        ))}
        <label className="flex h-20 min-w-24 cursor-pointer items-center justify-center rounded border border-dashed border-steel px-3 text-center text-accent focus-within:outline-2 focus-within:outline-accent hover:bg-bench">
          Add a photo
          <input
            type="file"
            accept={PHOTO_TYPES.join(',')}
            multiple
            className="sr-only"
            onChange={(event) => {
              take(event.target.files ?? [])
              event.target.value = ''
            }}
          />
        </label>
      </div>
      {said && (
        <p role="alert" className="border-l-[3px] border-clash pl-2">
          {said}
        </p>
      )}
      {photos.length + waiting.length === 0 && (
        <p className="text-steel">By file or camera; dropped or pasted here too.</p>
      )}
      {shown && <PhotoView photo={shown} onClose={() => show(null)} />}
    </section>
  )
}
