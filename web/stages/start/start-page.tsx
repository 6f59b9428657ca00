import { type FormEvent, useState } from 'react'
import { useNavigate } from 'react-router'
import type { Templates } from '../../../contract/answers/shop.ts'
import { isCurrency, parseMoney } from '../../../core/money/money.ts'
import { KEPT_ASSEMBLIES } from '../../../core/needs/rules/must-still-work.ts'
import { exact } from '../../../core/ports/field.ts'
import { kindWords } from '../../../core/ports/part-kinds.ts'
import { parseQuantity } from '../../../core/quantity/units.ts'
import { refresh, useAnswer } from '../../api/answer.ts'
import { ApiProblem, call } from '../../api/client.ts'
import { useReading } from '../../api/hooks.ts'
import { usePerson } from '../../api/person.ts'
import { TypedInput } from '../../components/typed-input.tsx'
import { Button, Loaded, PageHead } from '../../components/ui.tsx'
import { asUse, USES } from '../brief/uses.ts'
import { BLANK, choiceOf, DRAFT, readDraft, type Typed } from './start-draft.ts'
import { Family, Field, input, PartChoice } from './start-fields.tsx'
import { StopperQuestions } from './stopper-questions.tsx'

const MASS = exact('Kerb mass', 'kg')

/** A new build in two minutes: what is known, however little, and the twelve questions that stop builds. */
export function Component() {
  const offered = useAnswer('GET /templates')
  return (
    <Loaded of={offered} what="the types">
      {(data) => <Start offered={data} />}
    </Loaded>
  )
}

function Start({ offered }: { offered: Templates }) {
  const [typed, setTyped] = useState(readDraft)
  const [faults, setFaults] = useState<Readonly<Record<string, string>>>({})
  const [isStarting, setStarting] = useState(false)
  const navigate = useNavigate()
  const reading = useReading()
  const person = usePerson()
  const set = (more: Partial<Typed>): void =>
    setTyped((before) => {
      const next = { ...before, ...more }
      localStorage.setItem(DRAFT, JSON.stringify(next))
      return next
    })

  const start = async (event: FormEvent): Promise<void> => {
    event.preventDefault()
    const wrong: Record<string, string> = {}
    const read = <T,>(field: string, work: () => T): T | null => {
      try {
        return work()
      } catch (error) {
        wrong[field] = (error as Error).message
        return null
      }
    }
    if (typed.name.trim() === '') wrong.name = 'Give it a name: what the shop calls it.'
    const currency = typed.currency.trim().toUpperCase()
    if (!isCurrency(currency))
      wrong.currency = `"${typed.currency}" is not a currency. Use an ISO 4217 code, such as EUR.`
    const massKg =
      typed.mass.trim() === '' ? null : read('mass', () => parseQuantity(typed.mass, 'kg', reading))
    const labourRateMinor =
      typed.labour.trim() === '' || wrong.currency
        ? 0
        : read('labour', () => parseMoney(typed.labour, currency))
    setFaults(wrong)
    if (Object.keys(wrong).length > 0) return
    setStarting(true)
    try {
      const build = await call('POST /builds/start', {
        body: {
          name: typed.name,
          currency,
          recipient: choiceOf(typed.recipient),
          tyre: typed.tyre || null,
          massKg,
          engine: choiceOf(typed.engine, typed.engineFamily),
          transmission: choiceOf(typed.transmission, typed.transmissionFamily, typed.keepsGearbox),
          transfer: choiceOf(typed.transfer),
          use: asUse(typed.use),
          labourRateMinor: labourRateMinor ?? 0,
          mustWork: KEPT_ASSEMBLIES.filter((kind) => typed.mustWork.includes(kind)),
          stoppers: typed.stoppers,
          saidBy: person.name,
        },
      })
      localStorage.removeItem(DRAFT)
      await refresh()
      navigate(`/builds/${build.id}/first`)
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error
      setFaults({
        '': error.message,
        ...Object.fromEntries(error.errors.map(({ path, message }) => [path, message])),
      })
    } finally {
      setStarting(false)
    }
  }

  return (
    <form onSubmit={(event) => void start(event)} noValidate>
      <PageHead
        title="Start a build"
        detail="Two minutes. Leave out what you do not know: it is asked for later, where it decides something"
      />
      <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1.15fr)] gap-x-8 px-4 pb-28 max-[1000px]:grid-cols-1">
        <div className="flex flex-col gap-3">
          <div className="grid grid-cols-[1fr_88px_112px] gap-x-4">
            <Field label="Name" fault={faults.name}>
              {(shared) => (
                <input
                  {...shared}
                  value={typed.name}
                  onChange={(event) => set({ name: event.target.value })}
                  className={input}
                />
              )}
            </Field>
            <Field label="Currency" fault={faults.currency}>
              {(shared) => (
                <input
                  {...shared}
                  value={typed.currency}
                  onChange={(event) => set({ currency: event.target.value })}
                  className={`${input} figure`}
                />
              )}
            </Field>
            <Field label="Labour an hour" fault={faults.labour}>
              {(shared) => (
                <input
                  {...shared}
                  value={typed.labour}
                  inputMode="decimal"
                  onChange={(event) => set({ labour: event.target.value })}
                  className={`${input} figure text-right`}
                />
              )}
            </Field>
          </div>
          <fieldset className="border-t border-ink pt-2">
            <legend className="pr-2 font-bold">The vehicle</legend>
            <PartChoice
              label="Recipient"
              kind="vehicle"
              offered={offered}
              value={typed.recipient}
              fault={faults.recipient}
              onChange={(recipient) => set({ recipient })}
            />
            <div className="mt-2 grid grid-cols-2 gap-x-4">
              <Field label="Driven tyre" fault={faults.tyre} hint="As on its side: 185/80R14">
                {(shared) => (
                  <input
                    {...shared}
                    value={typed.tyre}
                    onChange={(event) => set({ tyre: event.target.value })}
                    className={`${input} figure`}
                  />
                )}
              </Field>
              <Field label="Mass" fault={faults.mass} hint="To 100 kg is good enough">
                {(shared) => (
                  <TypedInput
                    id={shared.id}
                    words={MASS}
                    value={typed.mass}
                    invalid={faults.mass !== undefined}
                    onChange={(mass) => set({ mass })}
                  />
                )}
              </Field>
            </div>
          </fieldset>
          <fieldset className="border-t border-ink pt-2">
            <legend className="pr-2 font-bold">What goes in</legend>
            <div className="grid grid-cols-[minmax(0,1.4fr)_minmax(0,1fr)] gap-x-4 gap-y-2">
              <PartChoice
                label="Engine"
                kind="engine"
                offered={offered}
                value={typed.engine}
                fault={faults.engine}
                onChange={(engine) => set({ engine })}
              />
              <Family
                label="Engine's pattern family"
                offered={offered}
                value={typed.engineFamily}
                onChange={(engineFamily) => set({ engineFamily })}
              />
              <PartChoice
                label="Gearbox"
                kind="transmission"
                offered={offered}
                value={typed.transmission}
                fault={faults.transmission}
                onChange={(transmission) => set({ transmission })}
              />
              <Family
                label="Gearbox's pattern family"
                offered={offered}
                value={typed.transmissionFamily}
                onChange={(transmissionFamily) => set({ transmissionFamily })}
              />
            </div>
            <label className="mt-1 flex items-center gap-2 py-1">
              <input
                type="checkbox"
                checked={typed.keepsGearbox}
                onChange={(event) => set({ keepsGearbox: event.target.checked })}
                className="size-4 accent-(--color-accent)"
              />
              The gearbox is the vehicle's own, and stays
            </label>
            <PartChoice
              label="Transfer case"
              kind="transfer-case"
              offered={offered}
              value={typed.transfer}
              fault={faults.transfer}
              none="None"
              onChange={(transfer) => set({ transfer })}
            />
          </fieldset>
          <fieldset className="border-t border-ink pt-2">
            <legend className="pr-2 font-bold">What for, and what must still work</legend>
            <Field label="Use" fault={faults.use} hint="Decides the torque factor">
              {(shared) => (
                <select
                  {...shared}
                  value={typed.use}
                  onChange={(event) => set({ use: event.target.value })}
                  className={input}
                >
                  <option value="">Not said</option>
                  {USES.map(({ value, words }) => (
                    <option key={value} value={value}>
                      {words}
                    </option>
                  ))}
                </select>
              )}
            </Field>
            <div className="mt-2 grid grid-cols-2 gap-x-4">
              {KEPT_ASSEMBLIES.map((kind) => (
                <label key={kind} className="flex items-center gap-2 py-1">
                  <input
                    type="checkbox"
                    className="size-4 accent-(--color-accent)"
                    checked={typed.mustWork.includes(kind)}
                    onChange={(event) =>
                      set({
                        mustWork: event.target.checked
                          ? [...typed.mustWork, kind]
                          : typed.mustWork.filter((one) => one !== kind),
                      })
                    }
                  />
                  {kindWords(kind)}
                </label>
              ))}
            </div>
          </fieldset>
        </div>
        <StopperQuestions
          stoppers={offered.stoppers.map((stopper) => ({
            ...stopper,
            says: typed.stoppers[stopper.id] ?? null,
          }))}
          onAnswer={(question, says) => set({ stoppers: { ...typed.stoppers, [question]: says } })}
        />
      </div>
      <div className="sticky bottom-0 flex items-center gap-4 border-t border-ink bg-paper px-4 py-3">
        <Button type="submit" tone="main" disabled={isStarting}>
          {isStarting ? 'Working it out…' : 'Start, and show the first answer'}
        </Button>
        <Button
          tone="quiet"
          onClick={() => {
            localStorage.removeItem(DRAFT)
            setTyped(BLANK)
            setFaults({})
          }}
        >
          Clear
        </Button>
        {(faults[''] || Object.keys(faults).length > 0) && (
          <p role="alert" className="border-l-[3px] border-clash pl-2.5">
            {faults[''] || Object.values(faults)[0]}
          </p>
        )}
      </div>
    </form>
  )
}
