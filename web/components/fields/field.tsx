import { type ReactNode, useId } from 'react'

/** How an input looks. */
export const INPUT =
  'w-full min-w-0 rounded border border-steel bg-ground px-2 py-1.5 aria-[invalid=true]:border-clash'

/** What an input takes from its field. */
export interface FieldProps {
  readonly id: string
  readonly 'aria-invalid': boolean
  readonly 'aria-describedby': string | undefined
}

/** A label with its input, and under it what is wrong with it, or a hint. */
export function Field({
  label,
  hint,
  fault,
  isWide = false,
  className,
  children,
}: {
  label: ReactNode
  hint?: string | undefined
  fault?: string | undefined
  /** Across all columns. */
  isWide?: boolean
  className?: string
  children: (shared: FieldProps) => ReactNode
}) {
  const id = useId()
  const says = fault ?? hint
  return (
    <div className={`${isWide ? 'col-span-full' : ''} ${className ?? ''}`}>
      <label htmlFor={id} className="mb-1 block font-semibold">
        {label}
      </label>
      {children({
        id,
        'aria-invalid': fault !== undefined,
        'aria-describedby': says === undefined ? undefined : `${id}-help`,
      })}
      {says !== undefined && (
        <p
          id={`${id}-help`}
          className={fault ? 'mt-1 border-l-[3px] border-clash pl-2' : 'mt-0.5 text-steel'}
        >
          {says}
        </p>
      )}
    </div>
  )
}
