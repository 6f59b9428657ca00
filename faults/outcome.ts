/** What one kind of fault came to. */
export interface Outcome {
  readonly kind: string
  readonly tried: number
  readonly failures: readonly string[]
  /** Where it could not be tried on this machine. */
  readonly skipped?: string
}

/** Counts what was tried and keeps what went wrong, in words. */
export class Trial {
  #tried = 0
  readonly #failures: string[] = []
  readonly #kind: string

  constructor(kind: string) {
    this.#kind = kind
  }

  expect(holds: boolean, otherwise: string): void {
    this.#tried++
    if (!holds) this.#failures.push(otherwise)
  }

  get outcome(): Outcome {
    return { kind: this.#kind, tried: this.#tried, failures: this.#failures }
  }
}
