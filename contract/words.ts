import { z } from 'zod'

const KINDS: Readonly<Record<string, string>> = {
  string: 'text',
  number: 'a number',
  int: 'a whole number',
  boolean: 'yes or no',
  array: 'a list',
  object: 'a group of fields',
  record: 'a group of fields',
  null: 'nothing',
  undefined: 'nothing',
}
const kindOf = (value: unknown): string =>
  KINDS[value === null ? 'null' : Array.isArray(value) ? 'array' : typeof value] ?? 'something else'
const FORMATS: Readonly<Record<string, string>> = {
  date: 'a day such as 2026-03-14',
  datetime: 'a day with its time',
  email: 'an address with an @',
  url: 'a web address',
  uuid: 'an id',
}
const counted = (count: unknown, one: string): string =>
  `${count} ${one}${Number(count) === 1 ? '' : 's'}`

/** What the schema library would say in its own words, in ours; a schema's own sentence goes before it. */
function say(issue: z.core.$ZodRawIssue): string | undefined {
  switch (issue.code) {
    case 'invalid_type':
      return issue.input === undefined
        ? 'It is missing.'
        : `It should be ${KINDS[issue.expected as string] ?? issue.expected}, not ${kindOf(issue.input)}.`
    case 'too_big':
      if (issue.origin === 'string') return `At most ${counted(issue.maximum, 'character')}.`
      return issue.origin === 'array'
        ? `At most ${counted(issue.maximum, 'entry').replace(/ys$/, 'ies')}.`
        : `It should be at most ${issue.maximum}.`
    case 'too_small':
      if (issue.origin === 'string')
        return issue.minimum === 1
          ? 'Fill it in.'
          : `At least ${counted(issue.minimum, 'character')}.`
      if (issue.origin === 'array')
        return `At least ${counted(issue.minimum, 'entry').replace(/ys$/, 'ies')}.`
      return `It should be ${issue.inclusive === false ? 'more than' : 'at least'} ${issue.minimum}.`
    case 'invalid_value':
      return `Choose one of ${(issue.values as unknown[]).slice(0, 20).join(', ')}.`
    case 'unrecognized_keys':
      return `There is no field ${(issue.keys as string[]).slice(0, 5).join(', ')} here.`
    case 'invalid_union':
      return 'It is none of what it can be. Look at its form and send it again.'
    case 'invalid_format':
      return `It should be written as ${FORMATS[issue.format as string] ?? 'its form says'}.`
    case 'not_multiple_of':
      return `It should be a multiple of ${issue.divisor}.`
    case 'invalid_key':
    case 'invalid_element':
      return 'A name or an entry in it is not right.'
    default:
      return 'It is not right.'
  }
}

z.config({ customError: say })
