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
