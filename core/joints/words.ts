import type { Code } from './code.ts'

/** The word and the sentence for each code. Never an engineering approval. */
export const VERDICT_WORDS: Record<Code, { word: string; says: string }> = {
  fits: { word: 'Mates', says: 'bolts up as it is, by the measurements known' },
  work: { word: 'Mates with work', says: 'fits after the tasks named' },
  bridge: { word: 'Needs a piece', says: 'an inserted or exchanged part can close the gap' },
  unmeasured: { word: 'Not measured', says: 'a deciding measurement is not known' },
  clash: { word: 'Clashes', says: 'a limit is passed that no piece can cure' },
}
