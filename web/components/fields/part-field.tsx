import type { ComponentProps } from 'react'
import { usePart } from '../../api/hooks.ts'
import { PartCombobox } from './part-combobox.tsx'

/** A part of the catalogue as a field of a form: held by its id, shown by its name. */
export function PartField({
  value,
  kind,
  nothing = 'Not said',
  onChange,
  ...rest
}: {
  value: string
  kind: string
  nothing?: string
  onChange: (id: string) => void
} & Omit<ComponentProps<'button'>, 'value' | 'onChange' | 'children'>) {
  const part = usePart(value || null).data
  return (
    <PartCombobox
      {...rest}
      kind={kind}
      makesOfType
      shown={value === '' ? nothing : (part?.name ?? '…')}
      nothing={nothing}
      onPick={(chosen) => onChange(chosen?.id ?? '')}
    />
  )
}
