/** So many parts are read side by side. */
export const MOST_BESIDE = 4
