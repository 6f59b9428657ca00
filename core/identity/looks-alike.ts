/** What numbers that are easily mistaken for one another have in common: O for 0, I for 1, zeros in front. Never part of a verdict. */
export const looksLike = (key: string): string =>
  key
    .replaceAll('O', '0')
    .replaceAll('I', '1')
    .replace(/^0+(?=.)/s, '')
