import type { ReactNode } from 'react'

/** A short list of unlike things, ruled: what needs no sorting and no search. */
export const Rows = ({ label, children }: { label: string; children: ReactNode }) => (
  <ul aria-label={label}>{children}</ul>
)

/** One thing of a short list, with what it comes to or what can be done with it at its end. */
export const Row = ({
  end,
  below,
  children,
}: {
  end?: ReactNode
  below?: ReactNode
  children: ReactNode
}) => (
  <li className="border-b border-line py-1.5">
    <div className="flex flex-wrap items-baseline gap-x-3">
      {children}
      {end !== undefined && <span className="ml-auto shrink-0 text-right">{end}</span>}
    </div>
    {below}
  </li>
)
