import { useState } from 'react'
import { dayIn } from '../../../core/day.ts'
import { TOLERANCES } from '../../../core/joints/tolerances.ts'
import { type ChosenUnit, UNIT_CHOICES, type Units } from '../../../core/quantity/units.ts'
import { refresh, useAnswer } from '../../api/answer.ts'
import { call } from '../../api/client.ts'
import { act, removeWithUndo, useSettings, useToday, write } from '../../api/hooks.ts'
import { useJustSaid } from '../../api/just-said.ts'
import { Dialog } from '../../components/dialog.tsx'
import { Form } from '../../components/form.tsx'
import { HistoryButton } from '../../components/history.tsx'
import { Button, ButtonLink, Folded, Loaded, PageHead } from '../../components/ui.tsx'

/** Units, the shop's day, tolerances, issuers, exchange rates. */
export function Component() {
  const settings = useSettings()
  return (
    <>
      <PageHead
        title="Settings"
        detail="Units, day, tolerances, issuers and exchange rates of this shop"
      >
        <HistoryButton entity="setting" title="settings" />
        <ButtonLink to="/safekeeping">People and safekeeping</ButtonLink>
      </PageHead>
      <div className="grid grid-cols-2 gap-10 px-4 pb-12 max-[1000px]:grid-cols-1">
        <div className="flex flex-col gap-8">
          <Loaded of={settings} what="the settings">
            {({ units, tolerances, timeZone }) => (
              <>
                <UnitChoices units={units} />
                <ShopZone zone={timeZone} />
                <Tolerances edits={tolerances} />
              </>
            )}
          </Loaded>
        </div>
        <div className="flex flex-col gap-8">
          <Rates />
          <Issuers />
        </div>
      </div>
    </>
  )
}

/** Whose day is today: dates of claims, plans and rates follow it. */
function ShopZone({ zone }: { zone: string }) {
  return (
    <section>
      <h2 className="font-bold">Day</h2>
      <p className="mb-1 text-steel">
        Today is {dayIn(zone, new Date())} here. What is said, planned and priced without a date
        gets this one.
      </p>
      <Form
        id="zone"
        columns={1}
        fields={[
          {
            name: 'timeZone',
            label: 'Time zone',
            type: 'select',
            required: true,
            options: [...new Set([zone, 'UTC', ...Intl.supportedValuesOf('timeZone')])].map(
              (one) => ({ value: one, words: one.replaceAll('_', ' ') }),
            ),
          },
        ]}
        initial={{ timeZone: zone }}
        action="Save the time zone"
        submit={(values) => write(() => call('PATCH /settings', { body: values }))}
      />
    </section>
  )
}

const UNIT_WORDS: Record<ChosenUnit, string> = {
  mm: 'Lengths',
  N·m: 'Torque',
  kg: 'Mass',
  kPa: 'Pressure',
  '°C': 'Temperature',
  L: 'Volume',
  'L/100km': 'Consumption',
}

/** What each kind of field is shown in, and read in when no unit is written. */
function UnitChoices({ units }: { units: Units }) {
  const chosen = useJustSaid<string>()
  return (
    <section>
      <h2 className="font-bold">Units</h2>
      <p className="mb-1 text-steel">
        What figures are shown in, and read in when no unit is written. Any unit can be typed
        anywhere.
      </p>
      <div className="grid grid-cols-[120px_minmax(0,1fr)] gap-y-1">
        {(Object.entries(UNIT_CHOICES) as [ChosenUnit, readonly string[]][]).map(
          ([stored, choices]) => (
            <fieldset key={stored} className="contents">
              <legend className="sr-only">{UNIT_WORDS[stored]}</legend>
              <span aria-hidden>{UNIT_WORDS[stored]}</span>
              <span>
                {choices.map((choice) => (
                  <label key={choice} className="mr-4 inline-flex items-center gap-1.5">
                    <input
                      type="radio"
                      name={`unit-${stored}`}
                      checked={chosen.shown(stored, units[stored] ?? stored) === choice}
                      onChange={() =>
                        void chosen.say(stored, choice, () =>
                          act(() =>
                            call('PATCH /settings', { body: { units: { [stored]: choice } } }),
                          ),
                        )
                      }
                      className="accent-(--color-accent)"
                    />
                    {choice}
                  </label>
                ))}
              </span>
            </fieldset>
          ),
        )}
      </div>
    </section>
  )
}

function Tolerances({ edits }: { edits: Record<string, number> }) {
  return (
    <section>
      <h2 className="font-bold">Tolerances</h2>
      <p className="mb-1 text-steel">
        Common practice, no published source. A change moves every verdict that leans on it.
      </p>
      <table className="w-full">
        <tbody>
          {Object.entries(TOLERANCES).map(([name, { value, words, unit }]) => (
            <ToleranceRow
              key={name}
              name={name}
              words={words}
              unit={unit}
              standard={value}
              edited={edits[name]}
            />
          ))}
        </tbody>
      </table>
    </section>
  )
}

function ToleranceRow({
  name,
  words,
  unit,
  standard,
  edited,
}: {
  name: string
  words: string
  unit: string
  standard: number
  edited: number | undefined
}) {
  const current = String(Number((edited ?? standard).toFixed(4)))
  const [text, setText] = useState(current)
  const [fault, setFault] = useState('')
  const save = (): void => {
    const value = Number(text.replace(',', '.'))
    if (text.trim() === '' || !Number.isFinite(value)) {
      setFault(`"${text}" is not a figure. It stays ${current}.`)
      setText(current)
      return
    }
    setFault('')
    if (String(value) !== current)
      void act(
        () => call('PATCH /settings', { body: { tolerances: { [name]: value } } }),
        `${words}: ${value} ${unit}`,
      )
  }
  return (
    <tr className="border-b border-line">
      <td className="py-1">
        {words}
        {fault && <div className="border-l-[3px] border-clash pl-2">{fault}</div>}
      </td>
      <td className="whitespace-nowrap py-1 text-right">
        <input
          aria-label={words}
          value={text}
          onChange={(event) => setText(event.target.value)}
          onBlur={save}
          onKeyDown={(event) => event.key === 'Enter' && save()}
          className="figure w-20 rounded border border-steel bg-ground px-1.5 py-0.5 text-right"
        />{' '}
        <span className="inline-block w-6 text-steel">{unit}</span>
      </td>
      <td className="w-16 pl-2">
        {edited !== undefined && (
          <Button
            tone="quiet"
            onClick={() => {
              setText(String(Number(standard.toFixed(4))))
              void act(
                () => call('PATCH /settings', { body: { tolerances: { [name]: null } } }),
                `${words}: back to ${Number(standard.toFixed(4))}`,
              )
            }}
          >
            Reset
          </Button>
        )}
      </td>
    </tr>
  )
}

function Rates() {
  const today = useToday()
  const rates = useAnswer('GET /rates')
  return (
    <section>
      <h2 className="font-bold">Exchange rates</h2>
      <p className="mb-1 text-steel">
        The newest is used. An offer in a currency without one is no candidate, and says so.
      </p>
      {rates.data?.items.map((rate) => (
        <p key={rate.id} className="flex gap-3 border-b border-line py-1">
          <span className="figure">
            1 {rate.fromCurrency} = {rate.rate} {rate.toCurrency}
          </span>
          <span className="text-steel">
            {rate.day}
            {rate.source ? `, ${rate.source}` : ''}
          </span>
          <span className="ml-auto">
            <Button
              tone="quiet"
              onClick={() =>
                void removeWithUndo(
                  'DELETE /rates/{id}',
                  { params: { id: rate.id } },
                  'The rate is in the trash.',
                )
              }
            >
              Remove
            </Button>
          </span>
        </p>
      ))}
      <Folded words="Add a rate">
        <Form
          id="new-rate"
          fields={[
            { name: 'fromCurrency', label: 'From', type: 'text', required: true, upper: true },
            { name: 'toCurrency', label: 'To', type: 'text', required: true, upper: true },
            { name: 'rate', label: 'One of the first is', type: 'number', required: true },
            { name: 'day', label: 'On', type: 'date', required: true },
            { name: 'source', label: 'Source', type: 'text' },
          ]}
          initial={{ toCurrency: 'EUR', day: today }}
          action="Add rate"
          submit={(values) => write(() => call('POST /rates', { body: values }))}
        />
      </Folded>
    </section>
  )
}

function Issuers() {
  const issuers = useAnswer('GET /issuers')
  const [editingId, setEditingId] = useState<string | null>(null)
  const editing = issuers.data?.items.find((one) => one.id === editingId)
  return (
    <section>
      <h2 className="font-bold">Issuers of part numbers</h2>
      <p className="mb-1 text-steel">
        How each writes its numbers: which marks are noise. O and 0 are never taken for one another.
      </p>
      <table className="w-full">
        <thead>
          <tr className="border-b border-ink">
            <th className="py-1">Issuer</th>
            <th>Case counts</th>
            <th>Noise</th>
            <th aria-label="Actions" />
          </tr>
        </thead>
        <tbody>
          {issuers.data?.items.map((issuer) => (
            <tr key={issuer.id} className="border-b border-line">
              <td className="figure py-1">{issuer.name}</td>
              <td>{issuer.upper ? 'no' : 'yes'}</td>
              <td className="figure">
                {[...issuer.noise].map((mark) => (mark === ' ' ? 'space' : mark)).join('  ')}
              </td>
              <td className="text-right">
                <Button
                  tone="quiet"
                  aria-label={`Change ${issuer.name}`}
                  onClick={() => setEditingId(issuer.id)}
                >
                  Change
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <Folded words="Add an issuer">
        <Form
          id="new-issuer"
          fields={[
            { name: 'name', label: 'Name', type: 'text', required: true },
            {
              name: 'noise',
              label: 'Marks that are noise',
              type: 'text',
              hint: 'Blank: space, dot, dash',
            },
            { name: 'upper', label: 'Case does not count', type: 'check' },
          ]}
          initial={{ upper: true }}
          action="Add issuer"
          submit={({ noise, ...values }) =>
            write(() =>
              call('POST /issuers', {
                body: { ...values, ...(noise ? { noise: ` ${noise}` } : {}) },
              }),
            )
          }
        />
      </Folded>
      {editing && (
        <Dialog
          open
          onOpenChange={() => setEditingId(null)}
          title={`How ${editing.name} writes its numbers`}
        >
          <Form
            id={`issuer-${editing.id}`}
            columns={1}
            fields={[
              { name: 'name', label: 'Name', type: 'text', required: true },
              {
                name: 'marks',
                label: 'Marks that are noise, beside the space',
                type: 'text',
                hint: 'Every number of this issuer is spelled anew',
              },
              { name: 'upper', label: 'Case does not count', type: 'check' },
            ]}
            initial={{ ...editing, marks: editing.noise.trim() }}
            action="Save"
            submit={async ({ marks, ...values }) => {
              await call('PATCH /issuers/{id}', {
                params: { id: editing.id },
                body: {
                  version: editing.version,
                  ...values,
                  noise: ` ${marks ?? ''}`,
                },
              })
              await refresh()
              setEditingId(null)
            }}
          />
        </Dialog>
      )}
    </section>
  )
}
