/** Evidence grades, weakest first. The index is the strength. */
export const GRADES = ['assumed', 'heard', 'catalogue', 'maker', 'measured', 'fitted'] as const

export type Grade = (typeof GRADES)[number]

export const isGrade = (word: string | undefined): word is Grade =>
  (GRADES as readonly (string | undefined)[]).includes(word)

/** Strength of a grade, 0 (assumed) to 5 (fitted). */
export const strength = (grade: Grade): number => GRADES.indexOf(grade)

/** Grades shown with a dotted underline: nobody has measured or drawn it. */
export const isWeak = (grade: Grade): boolean => strength(grade) <= strength('catalogue')
