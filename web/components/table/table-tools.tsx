import { ChevronDown } from 'lucide-react'
import { DropdownMenu } from 'radix-ui'
import type { ReactNode } from 'react'
import { Button } from '../ui.tsx'
import { SearchInput } from './search-input.tsx'

/** A column that can be chosen. */
export interface Toggle {
  readonly id: string
  readonly head: string
  readonly isShown: boolean
  readonly toggle: () => void
}

/** Longer lists take longer than a key may wait. */
const LONG = 1000

/** Over a table: search in it, what its page puts there, columns to choose, a file of what is shown. */
export const TableTools = ({
  isEdged,
  what,
  filter,
  onFilter,
  shown,
  of,
  isPartial,
  columns,
  onSave,
  children,
}: {
  /** Where it goes to the edges of the page. */
  isEdged: boolean
  what: string
  filter: string
  onFilter: (words: string) => void
  shown: number
  of: number
  isPartial: boolean
  columns: readonly Toggle[]
  onSave: (as: 'csv' | 'xlsx') => void
  children?: ReactNode
}) => (
  <div
    className={`flex flex-wrap items-center gap-x-3 gap-y-2 pb-2 print:hidden ${isEdged ? 'px-4' : ''}`}
  >
    <label className="flex items-center gap-2">
      Find
      <SearchInput
        words={filter}
        onSearch={onFilter}
        placeholder={`in ${what}`}
        isLong={of > LONG}
      />
    </label>
    {children}
    <span className="text-steel" role="status">
      <span className="figure">
        {isPartial ? `first ${of}` : shown === of ? of : `${shown} of ${of}`}
      </span>{' '}
      {what}
    </span>
    <span className="ml-auto flex items-center gap-3">
      {columns.length > 0 && <ColumnsMenu columns={columns} />}
      <Button tone="quiet" onClick={() => onSave('csv')}>
        Save as CSV
      </Button>
      <Button tone="quiet" onClick={() => onSave('xlsx')}>
        Save as XLSX
      </Button>
    </span>
  </div>
)

const ColumnsMenu = ({ columns }: { columns: readonly Toggle[] }) => (
  <DropdownMenu.Root>
    <DropdownMenu.Trigger asChild>
      <Button tone="quiet">
        Columns <ChevronDown aria-hidden size={14} />
      </Button>
    </DropdownMenu.Trigger>
    <DropdownMenu.Portal>
      <DropdownMenu.Content
        align="end"
        collisionPadding={8}
        className="z-40 max-h-[min(60vh,var(--radix-dropdown-menu-content-available-height))] overflow-y-auto rounded border border-ink bg-ground py-1"
      >
        {columns.map(({ id, head, isShown, toggle }) => (
          <DropdownMenu.CheckboxItem
            key={id}
            checked={isShown}
            onCheckedChange={toggle}
            onSelect={(event) => event.preventDefault()}
            className="flex cursor-default items-center gap-2 px-3 py-1 data-[highlighted]:bg-bench"
          >
            <span aria-hidden className="figure w-3">
              {isShown ? '×' : ''}
            </span>
            {head}
          </DropdownMenu.CheckboxItem>
        ))}
      </DropdownMenu.Content>
    </DropdownMenu.Portal>
  </DropdownMenu.Root>
)
