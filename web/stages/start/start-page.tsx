import type { Templates } from '../../../contract/answers/shop.ts'
import { KEPT_ASSEMBLIES } from '../../../core/brief/must-still-work.ts'
import { FACT_ROWS } from '../../../core/facts/index.ts'
import { STOPPER_ASKED } from '../../../core/facts/start.ts'
import { isCurrency } from '../../../core/money/money.ts'
import { ROW_CURRENCY } from '../../../core/needs/line.ts'
import { exact } from '../../../core/ports/field.ts'
import { kindWords } from '../../../core/ports/part-kinds.ts'
import { templateOf } from '../../../core/templates/index.ts'
import { useAnswer } from '../../api/answer.ts'
import { Check } from '../../components/fields/check.tsx'
import { Field } from '../../components/fields/field.tsx'
import { Select } from '../../components/fields/select.tsx'
import { TypedInput } from '../../components/typed-input.tsx'
import { Button, Loaded, PageHead } from '../../components/ui.tsx'
import { USES } from '../brief/uses.ts'
import { valueWords } from '../known/question-row.tsx'
import { Family, PartChoice, TextField } from './start-fields.tsx'
import { StopperQuestions } from './stopper-questions.tsx'
import { type Start, useStart } from './use-start.ts'

const MASS = exact('Kerb mass', 'kg')

/** A new build in two minutes: what is known, however little, and the twelve questions that stop builds. */
export function Component() {
  const offered = useAnswer('GET /templates')
  return (
    <Loaded of={offered} what="the types">
      {(data) => <StartForm offered={data} />}
    </Loaded>
  )
}

function StartForm({ offered }: { offered: Templates }) {
  const start = useStart()
  const { typed, set } = start
  return (
    <form onSubmit={(event) => void start.start(event)} noValidate>
      <PageHead
        title="Start a build"
        detail="Two minutes. Leave out what you do not know: it is asked for later, where it decides something"
      />
      <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1.15fr)] gap-x-8 px-4 pb-28 max-[1000px]:grid-cols-1">
        <div className="flex flex-col gap-3">
          <div className="grid grid-cols-[1fr_88px_112px] gap-x-4">
            <TextField start={start} name="name" label="Name" />
            <TextField start={start} name="currency" label="Currency" className="figure" />
            <TextField
              start={start}
              name="labour"
              label="Labour an hour"
              className="figure text-right"
            />
          </div>
          <EuroRate start={start} />
          <Stays start={start} />
          <Vehicle start={start} offered={offered} />
          <GoesIn start={start} offered={offered} />
          <WhatFor start={start} />
        </div>
        <StopperQuestions
          stoppers={offered.stoppers
            .filter(({ id }) => isAskedOf(id, typed))
            .map((stopper) => ({ ...stopper, says: typed.stoppers[stopper.id] ?? null }))}
          onAnswer={(question, says) => set({ stoppers: { ...typed.stoppers, [question]: says } })}
        />
      </div>
      <Send start={start} />
    </form>
  )
}

/** Asked where the shop has no rate to the build's currency: what parts usually cost is known in euros. */
function EuroRate({ start }: { start: Start }) {
  const rates = useAnswer('GET /rates').data?.items
  const currency = start.typed.currency.trim().toUpperCase()
  if (!rates || currency === ROW_CURRENCY || !isCurrency(currency)) return null
  const isKnown = rates.some(
    ({ fromCurrency, toCurrency }) =>
      [fromCurrency, toCurrency].includes(currency) &&
      [fromCurrency, toCurrency].includes(ROW_CURRENCY),
  )
  return isKnown ? null : (
    <TextField
      start={start}
      name="euroRate"
      label={`One euro in ${currency}`}
      hint="What parts usually cost is known in euros; kept as a rate in Settings"
      className="figure"
    />
  )
}

const Vehicle = ({ start, offered }: { start: Start; offered: Templates }) => (
  <fieldset className="border-t border-ink pt-2">
    <legend className="pr-2 font-bold">The vehicle</legend>
    <PartChoice
      label="Recipient"
      kind="vehicle"
      offered={offered}
      start={start}
      name="recipient"
      year="recipientYear"
    />
    <div className="mt-2 grid grid-cols-2 gap-x-4">
      <TextField
        start={start}
        name="tyre"
        label="Driven tyre"
        hint="As on its side: 185/80R14"
        className="figure"
      />
      <Field label="Mass" fault={start.faults.mass} hint="To 100 kg is good enough">
        {({ id }) => (
          <TypedInput
            id={id}
            words={MASS}
            value={start.typed.mass}
            invalid={start.faults.mass !== undefined}
            onChange={(mass) => start.set({ mass })}
          />
        )}
      </Field>
    </div>
  </fieldset>
)

/** What stays decides most of the list, so it is asked first. */
const Stays = ({ start: { typed, set } }: { start: Start }) => (
  <fieldset className="border-t border-ink pt-2">
    <legend className="pr-2 font-bold">What stays</legend>
    <Check
      isChecked={typed.facts['build.engine'] === 'kept'}
      onChange={(isKept) =>
        set({ facts: { ...typed.facts, 'build.engine': isKept ? 'kept' : 'other' } })
      }
    >
      The engine is the vehicle's own, and stays
    </Check>
    <Check isChecked={typed.keepsGearbox} onChange={(keepsGearbox) => set({ keepsGearbox })}>
      The gearbox is the vehicle's own, and stays
    </Check>
  </fieldset>
)

/** A stopper that cannot apply to what is chosen is not asked. */
function isAskedOf(stopper: string, { recipient, transmission }: Start['typed']): boolean {
  const wanted = STOPPER_ASKED[stopper]
  if (!wanted) return true
  const [key, value] = wanted
  const chosen = key.startsWith('vehicle.') ? recipient : transmission
  const type = chosen.startsWith('template:') ? templateOf(chosen.slice('template:'.length)) : null
  const said = type?.ports
    .flatMap(({ fields }) => Object.entries(fields))
    .find(([field]) => field === key.slice(key.indexOf('.') + 1))?.[1]?.[0]
  return said === undefined || said === value
}

const GoesIn = ({ start, offered }: { start: Start; offered: Templates }) => (
  <fieldset className="border-t border-ink pt-2">
    <legend className="pr-2 font-bold">What goes in</legend>
    <div className="grid grid-cols-[minmax(0,1.4fr)_minmax(0,1fr)] gap-x-4 gap-y-2">
      <PartChoice
        label="Engine"
        kind="engine"
        offered={offered}
        start={start}
        name="engine"
        year="engineYear"
      />
      <Family label="Engine's pattern family" start={start} name="engineFamily" />
      <PartChoice
        label="Gearbox"
        kind="transmission"
        offered={offered}
        start={start}
        name="transmission"
        year="transmissionYear"
      />
      <Family label="Gearbox's pattern family" start={start} name="transmissionFamily" />
    </div>
    <PartChoice
      label="Transfer case"
      kind="transfer-case"
      offered={offered}
      start={start}
      name="transfer"
      none="None"
    />
  </fieldset>
)

const WhatFor = ({ start: { typed, set, faults } }: { start: Start }) => (
  <fieldset className="border-t border-ink pt-2">
    <legend className="pr-2 font-bold">What for, and what must still work</legend>
    <Field label="Use" fault={faults.use} hint="Decides the torque factor">
      {(shared) => (
        <Select
          {...shared}
          value={typed.use}
          options={USES}
          nothing="Not said"
          onChange={(use) => set({ use })}
        />
      )}
    </Field>
    <div className="mt-2 grid grid-cols-3 gap-x-4 max-[560px]:grid-cols-1">
      {(['build.school', 'donor.kind', 'build.runs'] as const).map((key) => (
        <Field key={key} label={FACT_ROWS[key].asks ?? key}>
          {(shared) => (
            <Select
              {...shared}
              value={typed.facts[key] ?? FACT_ROWS[key].assumed ?? ''}
              options={FACT_ROWS[key].values.map((value) => ({ value, words: valueWords(value) }))}
              onChange={(value) => set({ facts: { ...typed.facts, [key]: value } })}
            />
          )}
        </Field>
      ))}
    </div>
    <div className="mt-2 grid grid-cols-2 gap-x-4">
      {KEPT_ASSEMBLIES.map((kind) => (
        <Check
          key={kind}
          isChecked={typed.mustWork.includes(kind)}
          onChange={(isKept) =>
            set({
              mustWork: isKept
                ? [...typed.mustWork, kind]
                : typed.mustWork.filter((one) => one !== kind),
            })
          }
        >
          {kindWords(kind)}
        </Check>
      ))}
    </div>
  </fieldset>
)

const Send = ({ start: { faults, isStarting, clear } }: { start: Start }) => (
  <div className="sticky bottom-0 flex items-center gap-4 border-t border-ink bg-paper px-4 py-3">
    <Button type="submit" tone="main" disabled={isStarting}>
      {isStarting ? 'Working it out…' : 'Start, and show the first answer'}
    </Button>
    <Button tone="quiet" onClick={clear}>
      Clear
    </Button>
    {Object.keys(faults).length > 0 && (
      <p role="alert" className="border-l-[3px] border-clash pl-2.5">
        {faults[''] || Object.values(faults)[0]}
      </p>
    )}
  </div>
)
