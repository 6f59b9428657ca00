import { useState } from 'react'
import useSWR, { mutate } from 'swr'
import { api } from '../../api/client.ts'
import { act, removeWithUndo, usePeople, useSession, write } from '../../api/hooks.ts'
import { setPerson, usePerson } from '../../api/person.ts'
import { Form } from '../../components/form.tsx'
import { HistoryButton } from '../../components/history.tsx'
import { Button, ButtonLink, Folded, PageHead } from '../../components/ui.tsx'

const DECIMALS = [
  { value: 'ask', words: 'Ask when it can mean two things' },
  { value: 'point', words: '1,500 is one thousand five hundred' },
  { value: 'comma', words: '1,500 is one and a half' },
]

/** People, backups, the trash, the passcode: what keeps the work of several people safe. */
export function Component() {
  return (
    <>
      <PageHead title="People and safekeeping" detail="Who works here, backups, the trash and the passcode">
        <HistoryButton title="everything" />
        <ButtonLink to="/settings">Settings</ButtonLink>
      </PageHead>
      <div className="grid grid-cols-2 gap-10 px-4 pb-12 max-[1000px]:grid-cols-1">
        <div className="flex flex-col gap-8">
          <People />
          <Passcode />
        </div>
        <div className="flex flex-col gap-8">
          <Backups />
          <Trash />
        </div>
      </div>
    </>
  )
}

function People() {
  const people = usePeople()
  const here = usePerson()
  return (
    <section>
      <h2 className="font-bold">People</h2>
      <p className="mb-1 text-steel">A name, no login: measurements and changes carry it. What a comma means goes by person.</p>
      {people.data?.items.length === 0 && <p>Nobody is named yet. Changes are signed "bench".</p>}
      {people.data?.items.map((person) => (
        <div key={person.id} className="flex flex-wrap items-center gap-3 border-b border-line py-1.5">
          <b>{person.name}</b>
          <select
            aria-label={`What a comma means to ${person.name}`}
            className="rounded border border-steel bg-ground px-1.5 py-1"
            value={person.decimal}
            onChange={(event) =>
              void act(async () => {
                const changed = await api.patch<typeof person>(`/people/${person.id}`, { version: person.version, decimal: event.target.value })
                if (here.id === person.id) setPerson(changed)
              })
            }
          >
            {DECIMALS.map(({ value, words }) => (
              <option key={value} value={value}>
                {words}
              </option>
            ))}
          </select>
          <span className="ml-auto">
            {here.id === person.id ? (
              <span className="text-steel">at this bench</span>
            ) : (
              <Button tone="quiet" onClick={() => setPerson(person)}>
                I am {person.name}
              </Button>
            )}{' '}
            <Button
              tone="quiet"
              aria-label={`Remove ${person.name}`}
              onClick={() => void removeWithUndo(`/people/${person.id}`, `${person.name} is in the trash; what they did keeps their name.`)}
            >
              Remove
            </Button>
          </span>
        </div>
      ))}
      <Folded words="Add a person">
        <Form
          id="new-person"
          fields={[
            { name: 'name', label: 'Name', type: 'text', required: true },
            { name: 'decimal', label: 'A comma in a figure', type: 'select', required: true, options: DECIMALS },
          ]}
          initial={{ decimal: 'ask' }}
          action="Add person"
          submit={(values) => write(() => api.post('/people', values))}
        />
      </Folded>
    </section>
  )
}

const WHY = { day: 'first start of the day', asked: 'asked for', 'before-restore': 'before a restore' }

function Backups() {
  const backups = useSWR<{ items: { name: string; at: string; bytes: number; why: keyof typeof WHY }[] }>('/backups')
  const [asking, setAsking] = useState<string | null>(null)
  return (
    <section>
      <h2 className="font-bold">Backups</h2>
      <p className="mb-2 text-steel">One is made on the first start of each day, beside the data. Copy one to another disk now and then.</p>
      <Button onClick={() => void act(() => api.post('/backups'), 'Backed up.')}>Back up now</Button>
      <ul className="mt-2">
        {backups.data?.items.map((backup) => (
          <li key={backup.name} className="border-b border-line py-1.5">
            <div className="flex items-center gap-3">
              <span className="figure">{new Date(backup.at).toLocaleString('sv-SE')}</span>
              <span className="text-steel">
                {WHY[backup.why]} · <span className="figure">{Math.max(1, Math.round(backup.bytes / 1024))} kB</span>
              </span>
              <span className="ml-auto">
                <Button tone="quiet" aria-label={`Restore the backup of ${new Date(backup.at).toLocaleString('sv-SE')}`} onClick={() => setAsking(backup.name)}>
                  Restore
                </Button>
              </span>
            </div>
            {asking === backup.name && (
              <div className="my-2 border-l-[3px] border-rule pl-2.5">
                Everything goes back to what it was then, for everybody. What is here now is backed up first, so this can be taken back too.{' '}
                <Button
                  tone="main"
                  className="ml-2"
                  onClick={() =>
                    void act(() => api.post(`/backups/${backup.name}/restore`), 'Restored. What was here before is in the newest backup.').then((done) => done && setAsking(null))
                  }
                >
                  Restore this backup
                </Button>{' '}
                <Button tone="quiet" onClick={() => setAsking(null)}>
                  Leave it
                </Button>
              </div>
            )}
          </li>
        ))}
      </ul>
      {backups.data?.items.length === 0 && <p className="mt-2">None yet.</p>}
    </section>
  )
}

function Trash() {
  const trash = useSWR<{ items: { id: string; entity: string; at: string; name: string; rows: number }[] }>('/trash')
  return (
    <section>
      <h2 className="font-bold">Trash</h2>
      {trash.data?.items.length === 0 && <p className="text-steel">Nothing was removed. What is removed waits here and can be put back.</p>}
      {trash.data?.items.map((one) => (
        <p key={one.id} className="flex items-center gap-3 border-b border-line py-1.5">
          <b className="truncate">{one.name}</b>
          <span className="text-steel">
            {one.entity.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`)}
            {one.rows > 1 ? ` and ${one.rows - 1} that came with it` : ''} · {new Date(one.at).toLocaleString('sv-SE', { dateStyle: 'short', timeStyle: 'short' })}
          </span>
          <span className="ml-auto">
            <Button tone="quiet" aria-label={`Put back ${one.name}`} onClick={() => void act(() => api.post(`/trash/${one.id}/restore`), `${one.name} is back.`)}>
              Put back
            </Button>
          </span>
        </p>
      ))}
    </section>
  )
}

function Passcode() {
  const session = useSession().data
  if (!session) return null
  return (
    <section>
      <h2 className="font-bold">Passcode</h2>
      <p className="mb-2 text-steel">
        {session.asks
          ? 'Junket is reachable from other machines here: whoever opens it gives this passcode first.'
          : 'Junket answers on this machine only, and asks for nothing. To open it to others, set a passcode, then start it with JUNKET_HOST.'}
      </p>
      <Form
        id="passcode"
        keepsDraft={false}
        columns={1}
        fields={[
          { name: 'passcode', label: session.hasPasscode ? 'New passcode' : 'Passcode', type: 'secret', required: true, hint: 'At least 8 characters. Everybody signs in anew' },
        ]}
        initial={{}}
        action="Set the passcode"
        submit={(values) => write(() => api.put('/passcode', values))}
      />
      {session.asks && (
        <p className="mt-3">
          <Button onClick={() => void act(() => api.remove('/session')).then(() => mutate('/session'))}>Sign out</Button>
        </p>
      )}
    </section>
  )
}
