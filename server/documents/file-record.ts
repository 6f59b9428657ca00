/** A row of a file, its cells as words, and the line it begins on. */
export interface FileRecord {
  readonly cells: readonly string[]
  readonly line: number
}

/** A file that cannot be read from a line on. */
export class RecordFault extends Error {
  override readonly name = 'RecordFault'
  readonly line: number
  constructor(line: number, message: string) {
    super(message)
    this.line = line
  }
}
