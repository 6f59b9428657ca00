import { expect, test } from 'vitest'
import { sentence } from './plain-text.ts'

test('a sentence ends once: a question, an exclamation and nothing get no full stop', () => {
  expect(['Look', 'Look.', 'Which side?', 'Now!', ''].map(sentence)).toEqual([
    'Look.',
    'Look.',
    'Which side?',
    'Now!',
    '',
  ])
})
