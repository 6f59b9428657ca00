/** Names, threads and slots are one line of visible marks: a control character in one breaks every file it goes into. */
export const NO_CONTROLS = /^\P{Cc}*$/u
export const CONTROLS_SAID = 'Leave out line breaks, tabs and other control characters.'
