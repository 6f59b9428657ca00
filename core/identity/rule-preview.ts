import { type NumberRule, readNumber } from './number-rule.ts'

/** A number that is known, with the part that bears it. */
export interface KnownNumber {
  readonly number: string
  readonly part: string
}

/** Numbers that come to one. */
export interface MetNumbers {
  readonly key: string
  readonly numbers: readonly KnownNumber[]
}

/** What another rule does to the numbers there are. */
export interface RulePreview {
  /** Numbers that are read otherwise. */
  readonly changed: readonly {
    readonly number: string
    readonly from: string
    readonly to: string
  }[]
  /** Numbers that were apart and come to one, and that were one and come apart, by what they came to before. */
  readonly met: readonly MetNumbers[]
  readonly parted: readonly MetNumbers[]
  /** Those of the met that two parts bear: the rule cannot be saved. */
  readonly blocked: readonly MetNumbers[]
}

/** What a rule makes of the numbers there are, against the rule they are read by now. */
export function previewRule(
  known: readonly KnownNumber[],
  now: NumberRule,
  next: NumberRule,
): RulePreview {
  const read = known.map((one) => ({
    one,
    from: readNumber(one.number, now).key,
    to: readNumber(one.number, next).key,
  }))
  type Read = (typeof read)[number]
  const together = (by: (read: Read) => string, apart: (read: Read) => string): MetNumbers[] => {
    const groups = new Map<string, Read[]>()
    for (const each of read) {
      const held = groups.get(by(each))
      if (held) held.push(each)
      else groups.set(by(each), [each])
    }
    return [...groups]
      .filter(([, all]) => new Set(all.map(apart)).size > 1)
      .map(([key, all]) => ({ key, numbers: all.map(({ one }) => one) }))
      .sort((p, q) => (p.key < q.key ? -1 : 1))
  }
  const met = together(
    ({ to }) => to,
    ({ from }) => from,
  )
  return {
    changed: read.flatMap(({ one, from, to }) =>
      from === to ? [] : [{ number: one.number, from, to }],
    ),
    met,
    parted: together(
      ({ from }) => from,
      ({ to }) => to,
    ),
    blocked: met.filter(({ numbers }) => new Set(numbers.map(({ part }) => part)).size > 1),
  }
}
