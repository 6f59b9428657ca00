import type { Answer } from '../../../contract/asked.ts'
import { PAPERS } from '../../../contract/stored.ts'
import { dayIn } from '../../../core/day.ts'
import { type ChosenUnit, UNIT_CHOICES, type Units } from '../../../core/quantity/units.ts'
import { useAnswer } from '../../api/answer.ts'
import { call } from '../../api/client.ts'
import { act, removeWithUndo, useSettings, useToday, write } from '../../api/hooks.ts'
import { useJustSaid } from '../../api/just-said.ts'
import { Radios } from '../../components/fields/radios.tsx'
import { optionsOf } from '../../components/fields/select.tsx'
import { Form } from '../../components/form.tsx'
import { HistoryButton } from '../../components/history.tsx'
import { Row, Rows } from '../../components/rows.tsx'
import { Button, ButtonLink, Folded, Loaded, PageHead } from '../../components/ui.tsx'
import { Issuers } from './issuers.tsx'
import { Recipes } from './recipes/recipes.tsx'
import { Tolerances } from './tolerances.tsx'

type Settings = Answer<'GET /settings'>

/** Units, the shop's day, tolerances, issuers, exchange rates. */
export function Component() {
  const settings = useSettings()
  return (
    <>
      <PageHead
        title="Settings"
        detail="Units, day, paper, tolerances, issuers and exchange rates of this shop"
      >
        <HistoryButton entity="setting" title="settings" />
        <ButtonLink to="/safekeeping">People and safekeeping</ButtonLink>
      </PageHead>
      <div className="grid grid-cols-2 gap-10 px-4 pb-12 max-[1000px]:grid-cols-1">
        <div className="flex flex-col gap-8">
          <Loaded of={settings} what="the settings">
            {({ units, tolerances, timeZone, paper }) => (
              <>
                <UnitChoices units={units} />
                <ShopZone zone={timeZone} />
                <Paper paper={paper} />
                <Tolerances edits={tolerances} />
              </>
            )}
          </Loaded>
        </div>
        <div className="flex flex-col gap-8">
          <Rates />
          <Issuers />
          <Recipes />
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
        savesWhenLeft
        submit={(values) => write(() => call('PATCH /settings', { body: values }))}
      />
    </section>
  )
}

/** What pages are printed on. */
const Paper = ({ paper }: { paper: Settings['paper'] }) => {
  const chosen = useJustSaid<Settings['paper']>()
  return (
    <section>
      <h2 className="mb-1 font-bold">Paper</h2>
      <Radios
        label="Paper"
        value={chosen.shown('paper', paper)}
        options={optionsOf(PAPERS)}
        onChange={(size) =>
          void chosen.say('paper', size, () =>
            act(() => call('PATCH /settings', { body: { paper: size } }), `Saved: ${size}.`),
          )
        }
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
  kW: 'Power',
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
            <div key={stored} className="contents">
              <span aria-hidden>{UNIT_WORDS[stored]}</span>
              <Radios
                label={UNIT_WORDS[stored]}
                value={chosen.shown(stored, units[stored] ?? stored)}
                options={optionsOf(choices)}
                onChange={(choice) =>
                  void chosen.say(stored, choice, () =>
                    act(
                      () => call('PATCH /settings', { body: { units: { [stored]: choice } } }),
                      `Saved: shown in ${choice}.`,
                    ),
                  )
                }
              />
            </div>
          ),
        )}
      </div>
    </section>
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
      <Rows label="Exchange rates">
        {rates.data?.items.map((rate) => (
          <Row
            key={rate.id}
            end={
              <Button
                tone="quiet"
                aria-label={`Remove the rate of ${rate.fromCurrency} of ${rate.day}`}
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
            }
          >
            <span className="figure">
              1 {rate.fromCurrency} = {rate.rate} {rate.toCurrency}
            </span>
            <span className="text-steel">
              {rate.day}
              {rate.source ? `, ${rate.source}` : ''}
            </span>
          </Row>
        ))}
      </Rows>
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
