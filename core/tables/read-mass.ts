/** Grams in a unit of mass: SI, and the international pound of 1959 (0.453 592 37 kg exactly) with its sixteenth. */
const GRAMS: Readonly<Record<string, number>> = {
  g: 1,
  kg: 1000,
  t: 1e6,
  lb: 453.59237,
  lbs: 453.59237,
  oz: 453.59237 / 16,
}

/** A mass with its unit, in whole grams; or why it cannot be told. */
export function readMass(text: string): { readonly g: number } | { readonly why: string } {
  const read = /^(\d+(?:[.,]\d+)?)\s*([a-z]*)\.?$/i.exec(text.trim())
  if (!read) return { why: `"${text.slice(0, 40)}" is no mass. Write 9.8 kg, 340 g or 3 lb.` }
  const [, figure = '', unit = ''] = read
  const grams = GRAMS[unit.toLowerCase()]
  if (unit === '')
    return { why: `"${text}" has no unit. Write ${figure} kg, ${figure} g or ${figure} lb.` }
  if (grams === undefined)
    return { why: `"${unit}" is no unit of mass that is known here: g, kg, t, lb or oz.` }
  return { g: Math.round(Number(figure.replace(',', '.')) * grams) }
}
