/** Low, likely, high. */
export type Three = readonly [number, number, number]
