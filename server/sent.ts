declare const ANSWER: unique symbol

/** A response whose JSON, made elsewhere, is of one type. */
export type Sent<T> = Response & { readonly [ANSWER]?: T }
