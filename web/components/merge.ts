type Values = Readonly<Record<string, unknown>>

export interface Clash {
  readonly name: string
  readonly yours: unknown
  readonly theirs: unknown
}

/**
 * Three-way merge of a form's texts: what nobody here touched follows what is stored now; what only this person
 * touched stays; what both changed, and differently, is a clash to settle field by field, and stays as typed until then.
 *
 * @param base what the form started from
 * @param yours what stands in the form
 * @param theirs what is stored now
 */
export function mergeTexts(
  base: Values,
  yours: Values,
  theirs: Values,
): { values: Record<string, unknown>; clashes: Clash[] } {
  const values: Record<string, unknown> = { ...yours }
  const clashes: Clash[] = []
  for (const name of Object.keys(theirs)) {
    if (yours[name] === undefined || yours[name] === base[name]) values[name] = theirs[name]
    else if (theirs[name] !== base[name] && theirs[name] !== yours[name])
      clashes.push({ name, yours: yours[name], theirs: theirs[name] })
  }
  return { values, clashes }
}
