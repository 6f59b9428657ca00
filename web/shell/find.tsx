import { Command } from 'cmdk'
import { useDeferredValue, useEffect, useState } from 'react'
import { useNavigate } from 'react-router'
import type { Answer } from '../../contract/asked.ts'
import { holdsWords } from '../../core/holds-words.ts'
import type { NumberMatch } from '../../core/identity/number-search.ts'
import type { Joint } from '../../core/joints/joint.ts'
import { useAnswer } from '../api/answer.ts'
import { Behind } from '../components/behind.tsx'
import { Dialog } from '../components/dialog.tsx'
import { Button } from '../components/ui.tsx'
import { usePageKey } from '../components/use-page-key.ts'
import { actionsOf } from './actions.ts'

/** `/`: finds builds, parts, numbers in any spelling, joints, donors and actions. */
export function Find({ build }: { build: string | undefined }) {
  const [open, setOpen] = useState(false)
  usePageKey('/', () => setOpen(true), { useKey: true, preventDefault: true })
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
  const known = useJoints()
  const joints =
    build && typed.trim() !== ''
      ? holding(known, typed, ({ title, short }) => `${title} ${short}`)
      : []
  const actions = holding(actionsOf(build), typed, ({ words, detail }) => `${words} ${detail}`)
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

/** Those that hold what is typed; where none does, those that hold it but for a typing error. */
function holding<T>(all: readonly T[], typed: string, textOf: (one: T) => string): readonly T[] {
  const as = (isMended: boolean): readonly T[] =>
    all.filter((one) => holdsWords(textOf(one), typed, isMended))
  const exactly = as(false)
  return exactly.length > 0 ? exactly : as(true)
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
