import { printMoney } from '../../core/money/money.ts'

/** A stored name in words: `likeForLikeMinor` reads like for like. */
export const fieldWords = (name: string): string =>
  name.replace(/(Minor|Id|Mm|Nm)$/, '').replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`)

/** Where a fault stands in what was sent, in words: `items.0.saleMinor` reads items, line 1, sale. Of a document it is a row's own name. */
export const placeWords = (path: string): string =>
  path.includes('/')
    ? path
    : path
        .split('.')
        .filter((part) => part !== '')
        .map((part) => (/^\d+$/.test(part) ? `line ${Number(part) + 1}` : fieldWords(part)))
        .join(', ')

/** Fields that say nothing to whoever reads what was changed. */
const UNTOLD = new Set(['version', 'madeFrom'])
/** Fields of a change that are told. */
export const toldFields = (after: Record<string, unknown> | null): string[] =>
  Object.keys(after ?? {}).filter((field) => !UNTOLD.has(field))

const SHOWN_LENGTH = 80
const UUID = /[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}/i

/** A value of a row in words: amounts with their currency, other rows by name, lines by what they are of. */
export function valueWords(
  field: string,
  value: unknown,
  {
    currency,
    names,
  }: { readonly currency: string | null; readonly names: Readonly<Record<string, string>> },
): string {
  if (value === null || value === undefined || value === '') return 'nothing'
  if (field.endsWith('Minor') && typeof value === 'number' && currency)
    return printMoney(value, currency)
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  if (typeof value === 'number') return String(value)
  if (typeof value === 'string') return short(names[value] ?? textWords(field, value))
  if (Array.isArray(value) && value.every((one) => typeof one === 'string'))
    return short(value.map((one) => textWords(field, one)).join(', ') || 'nothing')
  return Array.isArray(value)
    ? `${value.length} ${value.length === 1 ? 'entry' : 'entries'}`
    : `${Object.keys(value).length} answers or figures`
}

/** A line by its kind, a source by its line; what names a row that is gone, as that. */
function textWords(field: string, text: string): string {
  const need = /(?:^|@)([a-z-]+)\/[a-z-]+\/[a-z0-9-]+$/.exec(text)?.[1]
  if (need) return `${field === 'candidate' ? 'a source of ' : ''}${need.replaceAll('-', ' ')}`
  return UUID.test(text) ? 'one that has no name' : text
}

const short = (text: string): string =>
  text.length > SHOWN_LENGTH ? `${text.slice(0, SHOWN_LENGTH)}…` : text
