import type { ReactNode } from 'react'

/** Yes or no, ticked by its words. */
export const Check = ({
  isChecked,
  onChange,
  children,
  ...rest
}: {
  isChecked: boolean
  onChange: (isChecked: boolean) => void
  children: ReactNode
  disabled?: boolean
}) => (
  <label className="flex items-center gap-2 py-1">
    <input
      {...rest}
      type="checkbox"
      checked={isChecked}
      onChange={(event) => onChange(event.target.checked)}
      className="size-4 shrink-0 accent-(--color-accent)"
    />
    {children}
  </label>
)
