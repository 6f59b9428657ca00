import { type Grade, strength } from '../quantity/grade.ts'

/** The greatest strength: that of nothing at all. */
export const FITTED = strength('fitted')

/** The strength of a claim; heard where nobody said. */
export const gradeOf = (grade: Grade | undefined): number => strength(grade ?? 'heard')
