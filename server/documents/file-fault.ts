/** A file that cannot be read: what is wrong, where, and what to do. */
export class FileFault extends Error {
  readonly faults: readonly { readonly path: string; readonly message: string }[]
  /** 400 where it is not of its format at all. */
  readonly status: 400 | 422
  constructor(message: string, faults: FileFault['faults'] = [], status: 400 | 422 = 422) {
    super(message)
    this.faults = faults
    this.status = status
  }
}
