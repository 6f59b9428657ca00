import { undoNewest } from '../api/undo.ts'
import { STAGES } from './stages.ts'
import { setTheme, themeNow } from './theme.ts'

interface Action {
  readonly words: string
  readonly detail: string
  readonly to?: string
  readonly run?: () => void
}

/** What can be done or opened, found by its words: of a build first, where one is open. */
export const actionsOf = (build: string | undefined): readonly Action[] => [
  ...(build === undefined ? [] : actionsIn(`/builds/${build}`)),
  ...EVERYWHERE,
]

const actionsIn = (build: string): readonly Action[] => [
  ...STAGES.map(({ id, words, digit }) => ({
    words,
    detail: digit === null ? 'Stage' : `Stage, Alt+${digit}`,
    to: `${build}/${id}`,
  })),
  { words: 'Shop mode', detail: 'Big and plain, one line at a time', to: `${build}/shop` },
  { words: 'Recipient', detail: 'Measured on its drawings', to: `${build}/recipient` },
  { words: 'Measuring card', detail: 'To print, or on a phone', to: `${build}/recipient/card` },
  { words: 'Loose gearbox', detail: 'Tried on the bench', to: `${build}/bench` },
  { words: 'Kits compared', detail: 'On the chosen pairing', to: `${build}/kits` },
  { words: 'What came', detail: 'Measured in, batch by batch', to: `${build}/arrivals` },
  { words: 'Mating card', detail: 'To print or fill beside the floor', to: `${build}/mating` },
]

const EVERYWHERE: readonly Action[] = [
  { words: 'Start a build', detail: 'Two minutes', to: '/start' },
  { words: 'Builds', detail: 'Page', to: '/' },
  { words: 'Catalogue', detail: 'Page', to: '/catalogue' },
  { words: 'Check a number', detail: 'Whether it serves for another', to: '/catalogue/check' },
  { words: 'Conflicts of numbers', detail: 'What contradicts itself', to: '/catalogue/conflicts' },
  { words: 'Suppliers', detail: 'Page', to: '/suppliers' },
  { words: 'Wanted parts', detail: 'Page', to: '/wanted' },
  { words: 'Settings', detail: 'Page', to: '/settings' },
  { words: 'People and safekeeping', detail: 'Backups, trash, passcode', to: '/safekeeping' },
  { words: 'Import offers', detail: 'Page', to: '/suppliers/import' },
  {
    words: 'Import a list',
    detail: 'Parts, numbers, supersessions, suppliers, kits',
    to: '/catalogue/import/parts',
  },
  { words: 'Add an engine', detail: 'Page', to: '/catalogue/new/engine' },
  { words: 'Add a transmission', detail: 'Page', to: '/catalogue/new/transmission' },
  { words: 'Add a vehicle', detail: 'Page', to: '/catalogue/new/vehicle' },
  { words: 'Add a part', detail: 'Page', to: '/catalogue/new/part' },
  { words: 'Undo', detail: 'Ctrl+Z', run: () => void undoNewest() },
  {
    words: 'Day or late bench',
    detail: 'Theme',
    run: () => setTheme(themeNow() === 'late' ? 'day' : 'late'),
  },
  {
    words: 'Print this page',
    detail: 'Action',
    run: () => setTimeout(() => window.print(), 100),
  },
]
