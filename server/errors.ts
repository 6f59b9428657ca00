/** Errors a person can act on: what failed, where, and what to do. Mapped to problem details by the one error gate. */
export class ProblemError extends Error {
  readonly status: number
  readonly extra: Record<string, unknown>
  constructor(status: number, message: string, extra: Record<string, unknown> = {}) {
    super(message)
    this.status = status
    this.extra = extra
  }
}

export class MissingError extends ProblemError {
  constructor(message: string) {
    super(404, message)
  }
}

export class ConflictError extends ProblemError {
  constructor(message: string, extra: Record<string, unknown> = {}) {
    super(409, message, extra)
  }
}

/** Well-formed but wrong: each fault by where it is. */
export class UnprocessableError extends ProblemError {
  constructor(message: string, faults: readonly { path: string; message: string }[] = []) {
    super(422, message, faults.length > 0 ? { errors: faults } : {})
  }
}
