import { PART_KINDS } from '../ports/part-kinds.ts'
import { LINE_ROWS } from './lines/index.ts'

/** Every kind of part a catalogue may hold, by its words: those typed with ports, and every part a line of a list may be. */
export const CATALOGUE_KINDS: Readonly<Record<string, string>> = {
  ...Object.fromEntries(
    LINE_ROWS.filter(({ sort }) => sort === 'part' || sort === 'tool').map(({ kind, words }) => [
      kind,
      words,
    ]),
  ),
  ...Object.fromEntries(Object.entries(PART_KINDS).map(([kind, { words }]) => [kind, words])),
}
export const isCatalogueKind = (kind: string): boolean => Object.hasOwn(CATALOGUE_KINDS, kind)
/** To choose from, by words. */
export const CATALOGUE_OPTIONS = Object.entries(CATALOGUE_KINDS)
  .map(([value, words]) => ({ value, words }))
  .sort((p, q) => p.words.localeCompare(q.words, 'en'))
