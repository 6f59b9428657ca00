import { useEffect, useState } from 'react'
import type { WaitingPhoto } from '../../api/photo-queue.ts'
import { Button } from '../ui.tsx'

/** A picture that has not arrived: it waits, or was refused and says why. */
export function WaitingThumb({
  photo: { picture, name, fault },
  onTakeOut,
}: {
  photo: WaitingPhoto
  onTakeOut: () => void
}) {
  const [src, setSrc] = useState<string>()
  useEffect(() => {
    const made = URL.createObjectURL(picture)
    setSrc(made)
    return () => URL.revokeObjectURL(made)
  }, [picture])
  return (
    <figure className="max-w-48">
      <img
        src={src}
        alt={name}
        className="h-20 rounded border border-dashed border-steel opacity-60"
      />
      <figcaption role={fault ? 'alert' : 'status'} className="text-[12px]">
        {fault ? (
          <>
            {fault}{' '}
            <Button tone="quiet" onClick={onTakeOut}>
              Take it out
            </Button>
          </>
        ) : (
          'waits to be sent'
        )}
      </figcaption>
    </figure>
  )
}
