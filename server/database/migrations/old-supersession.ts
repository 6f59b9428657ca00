type Row = Readonly<Record<string, unknown>>

/**
 * A supersession as it was, of one number by one, hanging on a part: as a claim and its two numbers. Where it went one
 * way the old does not serve for the new; else it does.
 */
export function oldSupersession(
  { id, issuerId, oldNumber, newNumber, oneWay }: Row,
  keyOf: (issuer: string, number: string) => string,
  source: string | null,
): { supersession: Row; numbers: Row[] } {
  const issuer = String(issuerId)
  return {
    supersession: {
      id,
      back: oneWay ? 'no' : 'yes',
      grade: 'catalogue',
      ...(source === null ? {} : { source }),
    },
    numbers: (
      [
        ['old', oldNumber],
        ['new', newNumber],
      ] as const
    ).map(([side, number]) => ({
      id: `${id}~${side}`,
      supersessionId: id,
      side,
      issuerId: issuer,
      number,
      normalised: keyOf(issuer, String(number)),
      quantity: 1,
    })),
  }
}
