/** Numbers values by what is in them: two with the same content share one. Values must not change once numbered. */
const numbers = new WeakMap<object, number>()
const byContent = new Map<string, number>()

export function contentNumber(value: object): number {
  let number = numbers.get(value)
  if (number !== undefined) return number
  const content = JSON.stringify(value)
  number = byContent.get(content)
  if (number === undefined) byContent.set(content, (number = byContent.size))
  numbers.set(value, number)
  return number
}
