import type { StartFact } from '../../../core/facts/start.ts'
import type { StopperSays } from '../../../core/pairing/stoppers.ts'

/** What is typed at the start. */
export interface Typed {
  readonly name: string
  readonly currency: string
  readonly euroRate: string
  readonly recipient: string
  readonly recipientYear: string
  readonly tyre: string
  readonly mass: string
  readonly engine: string
  readonly engineYear: string
  readonly engineFamily: string
  readonly transmission: string
  readonly transmissionYear: string
  readonly transmissionFamily: string
  readonly keepsGearbox: boolean
  readonly transfer: string
  readonly use: string
  readonly labour: string
  readonly mustWork: readonly string[]
  readonly facts: Readonly<Partial<Record<StartFact, string>>>
  readonly stoppers: Readonly<Record<string, StopperSays>>
}

/** Nothing typed yet. */
export const BLANK: Typed = {
  name: '',
  currency: 'EUR',
  euroRate: '',
  recipient: '',
  recipientYear: '',
  tyre: '',
  mass: '',
  engine: '',
  engineYear: '',
  engineFamily: '',
  transmission: '',
  transmissionYear: '',
  transmissionFamily: '',
  keepsGearbox: false,
  transfer: '',
  use: '',
  labour: '',
  mustWork: [],
  facts: {},
  stoppers: {},
}

/** Where it is kept in this browser. */
export const DRAFT = 'draft:start'

/** What was typed before a reload. */
export const readDraft = (): Typed => {
  try {
    return { ...BLANK, ...JSON.parse(localStorage.getItem(DRAFT) ?? '{}') }
  } catch {
    return BLANK
  }
}

/** A part of the catalogue, a type, or a family, as the start is asked with it. */
export function choiceOf(
  value: string,
  {
    family = '',
    year = null,
    isRecipients = false,
  }: {
    readonly family?: string
    readonly year?: number | null
    readonly isRecipients?: boolean
  } = {},
): object | null {
  const [how = '', ...rest] = value.split(':')
  const id = rest.join(':')
  if (how === 'part') return { partId: id, isRecipients }
  if (how === 'template')
    return { template: id, year, ...(family.trim() ? { family: family.trim() } : {}), isRecipients }
  return family.trim() ? { family: family.trim(), isRecipients } : null
}
