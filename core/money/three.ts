/** Low, likely, high. */
export type Three = readonly [number, number, number]

/**
 * Least, likely and most as somebody types them: one figure, or two with a dash or "to" between; likely is then the root of
 * both multiplied. Nothing typed is nothing.
 *
 * @throws RangeError where it cannot be read, is less than nothing, or the least is more than the most
 */
export function threeTyped(text: string): Three {
  const said = text.trim()
  if (said === '') return [0, 0, 0]
  const figures = said.split(/\s*(?:-|–|to)\s*/).map((one) => {
    if (/^\d{1,3}[.,]\d{3}$/.test(one))
      throw new RangeError(
        `"${one}" reads two ways. Type it without the dot, or with two decimals.`,
      )
    const figure = Number(one.replace(',', '.'))
    if (one === '' || !Number.isFinite(figure) || /^[^\d.,]/.test(one))
      throw new RangeError(
        `"${said}" is not a figure. Type one such as 40, or the least and the most: 30-80.`,
      )
    return figure
  })
  const [low, high = low] = figures as [number, number?]
  if (figures.length > 2 || high < low)
    throw new RangeError(`"${said}" runs the wrong way. Type the least, then the most: 30-80.`)
  return [low, Math.round(Math.sqrt(low * high) * 100) / 100, high]
}
