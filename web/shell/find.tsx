import { Command } from 'cmdk'
import { useDeferredValue, useEffect, useState } from 'react'
import { useHotkeys } from 'react-hotkeys-hook'
import { useNavigate } from 'react-router'
import type { Answer } from '../../contract/asked.ts'
import type { NumberMatch } from '../../core/identity/number-search.ts'
import type { Joint } from '../../core/joints/joint.ts'
import { useAnswer } from '../api/answer.ts'
import { undoNewest } from '../api/undo.ts'
import { Behind } from '../components/behind.tsx'
import { Dialog } from '../components/dialog.tsx'
import { Button } from '../components/ui.tsx'
import { STAGES } from './stages.ts'
import { setTheme, themeNow } from './theme.ts'

/** `/`: finds builds, parts, numbers in any spelling, joints, donors and actions. */
export function Find({ build }: { build: string | undefined }) {
  const [open, setOpen] = useState(false)
  useHotkeys('/', () => setOpen(true), { useKey: true, preventDefault: true })
  return (
    <>
      <Button tone="quiet" onClick={() => setOpen(true)}>
        Find /
      </Button>
      <Dialog open={open} onOpenChange={setOpen} title="Find" size="wide">
        {open && <Results build={build} onDone={() => setOpen(false)} />}
      </Dialog>
    </>
  )
}

function Results({ build, onDone }: { build: string | undefined; onDone: () => void }) {
  const [typed, setTyped] = useState('')
  const asked = useDeferredValue(typed.trim())
  const navigate = useNavigate()
  const found = useAnswer('GET /find', asked ? { query: { q: asked } } : null)
  const go = (to: string): void => {
    onDone()
    navigate(to)
  }
  const holds = (words: string): boolean =>
    typed.trim() === '' || words.toLowerCase().includes(typed.trim().toLowerCase())
  const known = useJoints()
  const joints =
    build && typed.trim() !== ''
      ? known.filter(({ title, short }) => holds(`${title} ${short}`))
      : []
  const actions = actionsOf(build).filter(({ words }) => holds(words))
  const isBehind = asked !== '' && found.data?.isBehind === true
  const items = asked ? (found.data?.items ?? []) : []
  const mended = asked ? (found.data?.mended ?? []) : []
  return (
    <Command shouldFilter={false} label="Find" loop>
      <Command.Input
        autoFocus
        value={typed}
        onValueChange={setTyped}
        placeholder="A build, a part, a number in any spelling, a joint, a donor, something to do"
        className="w-full rounded border border-steel bg-ground px-2 py-2 text-[15px]"
      />
      <Command.List className="mt-2 max-h-[52vh] overflow-y-auto">
        {asked !== '' &&
          !found.isLoading &&
          !isBehind &&
          items.length + joints.length + actions.length === 0 && (
            <p className="py-3" role="status">
              Nothing here is called "{asked}". Numbers are found in any spelling; try a part of the
              name.
            </p>
          )}
        {mended.map((one) => (
          <p key={one.typed} className="px-2 py-1 text-steel" role="status">
            Nothing holds "{one.typed}": shown for "{one.as}".
          </p>
        ))}
        {isBehind && <Behind ask={found.mutate} />}
        {items.map((item) => (
          <Row
            key={`${item.kind}-${item.id}-${item.words}`}
            id={`${item.kind}-${item.id}-${item.words}`}
            words={item.words}
            detail={[item.detail, item.match && MATCHES[item.match]].filter(Boolean).join(' · ')}
            onSelect={() => go(placeOf(item))}
          />
        ))}
        {joints.map(({ id, title, number }) => (
          <Row
            key={id}
            id={`joint-${id}`}
            words={title}
            detail={`Joint ${number}`}
            onSelect={() => go(`/builds/${build}/pairing?joint=${id}`)}
          />
        ))}
        {actions.map(({ words, detail, to, run }) => (
          <Row
            key={words}
            id={`action-${words}`}
            words={words}
            detail={detail}
            onSelect={() => {
              if (to) return go(to)
              onDone()
              run?.()
            }}
          />
        ))}
      </Command.List>
    </Command>
  )
}

/** Every joint, loaded when first something is to be found: what they declare is too much for every page to wait for. */
function useJoints(): readonly Joint[] {
  const [joints, setJoints] = useState<readonly Joint[]>([])
  useEffect(() => {
    let isHere = true
    void import('../../core/joints/index.ts').then(({ JOINTS }) => isHere && setJoints(JOINTS))
    return () => {
      isHere = false
    }
  }, [])
  return joints
}

const Row = ({
  id,
  words,
  detail,
  onSelect,
}: {
  id: string
  words: string
  detail: string
  onSelect: () => void
}) => (
  <Command.Item
    value={id}
    onSelect={onSelect}
    className="flex cursor-pointer items-baseline gap-3 border-b border-line px-2 py-1.5 aria-selected:bg-chosen"
  >
    <span className="min-w-0 truncate font-semibold">{words}</span>
    <span className="ml-auto shrink-0 text-steel">{detail}</span>
  </Command.Item>
)

/** How a number has to do with what was typed, where it is not the same. */
const MATCHES: Readonly<Record<NumberMatch, string>> = {
  equal: '',
  begins: 'begins so',
  'look-alike': 'looks alike: O or 0, I or 1',
  zeros: 'with other noughts before',
  suffix: 'with another suffix',
  holds: 'holds it',
  'one edit': 'one character off',
}

function placeOf({ kind, id }: Answer<'GET /find'>['items'][number]): string {
  if (kind === 'build') return `/builds/${id}/pairing`
  if (kind === 'kit' || kind === 'donor') return `/catalogue/${kind}s/${encodeURIComponent(id)}`
  return kind === 'supplier' ? '/suppliers' : `/catalogue/parts/${encodeURIComponent(id)}`
}

interface Action {
  readonly words: string
  readonly detail: string
  readonly to?: string
  readonly run?: () => void
}

function actionsOf(build: string | undefined): Action[] {
  return [
    ...(build
      ? STAGES.map((stage) => ({
          words: stage.words,
          detail: stage.digit === null ? 'Stage' : `Stage, Alt+${stage.digit}`,
          to: `/builds/${build}/${stage.id}`,
        }))
      : []),
    ...(build
      ? [
          {
            words: 'Shop mode',
            detail: 'Big and plain, one line at a time',
            to: `/builds/${build}/shop`,
          },
        ]
      : []),
    ...(build
      ? [
          {
            words: 'Recipient',
            detail: 'Measured on its drawings',
            to: `/builds/${build}/recipient`,
          },
        ]
      : []),
    ...(build
      ? [
          {
            words: 'Measuring card',
            detail: 'To print, or on a phone',
            to: `/builds/${build}/recipient/card`,
          },
        ]
      : []),
    ...(build
      ? [{ words: 'Loose gearbox', detail: 'Tried on the bench', to: `/builds/${build}/bench` }]
      : []),
    ...(build
      ? [
          {
            words: 'Kits compared',
            detail: 'On the chosen pairing',
            to: `/builds/${build}/kits`,
          },
          {
            words: 'What came',
            detail: 'Measured in, batch by batch',
            to: `/builds/${build}/arrivals`,
          },
          {
            words: 'Mating card',
            detail: 'To print or fill beside the floor',
            to: `/builds/${build}/mating`,
          },
        ]
      : []),
    { words: 'Start a build', detail: 'Two minutes', to: '/start' },
    { words: 'Builds', detail: 'Page', to: '/' },
    { words: 'Catalogue', detail: 'Page', to: '/catalogue' },
    { words: 'Suppliers', detail: 'Page', to: '/suppliers' },
    { words: 'Wanted parts', detail: 'Page', to: '/wanted' },
    { words: 'Settings', detail: 'Page', to: '/settings' },
    {
      words: 'People and safekeeping',
      detail: 'Page: backups, trash, passcode',
      to: '/safekeeping',
    },
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
}
