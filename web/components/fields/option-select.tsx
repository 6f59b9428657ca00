import { type ComponentProps, useState } from 'react'
import { Combobox } from './combobox.tsx'
import { type Option, Select } from './select.tsx'

/** More options than these are searched. */
const FEW = 24
/** As many as are listed; more words find fewer. */
const LISTED = 50

/** One of some options: a list of few, a search among many. */
export function OptionSelect({
  value,
  options,
  nothing,
  onChange,
  ...rest
}: {
  value: string
  options: readonly Option[]
  nothing: string | undefined
  onChange: (value: string) => void
} & Omit<ComponentProps<'button'>, 'value' | 'onChange' | 'children'>) {
  const [words, setWords] = useState('')
  if (options.length <= FEW)
    return (
      <Select {...rest} value={value} options={options} nothing={nothing} onChange={onChange} />
    )
  const wanted = words.trim().toLowerCase()
  const found = options.filter((one) => one.words.toLowerCase().includes(wanted)).slice(0, LISTED)
  return (
    <Combobox
      {...rest}
      shown={options.find((one) => one.value === value)?.words ?? nothing ?? 'Choose'}
      words={words}
      onSearch={setWords}
      found={found.map((one) => ({ id: one.value, name: one.words }))}
      nothing={nothing}
      onPick={(choice) => onChange(choice?.id ?? '')}
      placeholder="Type to find one"
      none="None is called that."
    />
  )
}
