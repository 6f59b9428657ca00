/** A row as it is read: every one has an id and a version. */
export type Row = { id: string; version: number } & Record<string, unknown>
