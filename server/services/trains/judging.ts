import { createHash } from 'node:crypto'
import { JOINTS } from '../../../core/joints/index.ts'
import { declarationsSaid } from '../../../core/joints/judging/said.ts'

let known: string | null = null
/** What judges, by all that its joints declare. */
export const judging = (): string =>
  (known ??= createHash('sha256').update(declarationsSaid(JOINTS)).digest('hex'))
