import { expect, test } from 'vitest'
import { showsChange } from './touched.ts'

test.each([
  ['/people', ['person'], true],
  ['/builds', ['person'], false],
  ['/builds/lantern/parts', ['person', 'claim'], true],
  // How a number is normalised decides what it is worth.
  ['/builds/lantern/parts', ['issuer'], true],
  ['/suppliers', ['offer'], false],
  ['/parts/wick-2?build=lantern', ['claim'], true],
  ['/parts?kind=engine', ['decision'], false],
  ['/history?entity=build&id=lantern', ['person'], true],
  ['/set-aside', ['rate'], true],
  ['/session', ['person', 'setting'], false],
  ['/find?q=disc', ['kit'], true],
])('%s after a change of %j is read again: %s', (path, tables, isRead) => {
  expect(showsChange(path, tables)).toBe(isRead)
})
