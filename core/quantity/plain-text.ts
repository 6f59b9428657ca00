/** Names, threads and slots are one line of visible marks: a control character in one breaks every file it goes into. */
export const NO_CONTROLS = /^\P{Cc}*$/u
export const CONTROLS_SAID = 'Leave out line breaks, tabs and other control characters.'

/** Text as a cell of a table file: what a spreadsheet would run as a formula is quoted with an apostrophe. */
export const unformula = (text: string): string => (/^[=+\-@\t\r]/.test(text) ? `'${text}` : text)

/** A label as it stands within a sentence. */
export const lowerFirst = (label: string): string => label.charAt(0).toLowerCase() + label.slice(1)

/** Words with a full stop after them, where they end in none and ask nothing. */
export const sentence = (text: string): string =>
  text === '' || /[.?!…]$/.test(text) ? text : `${text}.`
