import { type FormEvent, useState } from 'react'
import { useNavigate } from 'react-router'
import { KEPT_ASSEMBLIES } from '../../../core/brief/must-still-work.ts'
import { FACT_ROWS } from '../../../core/facts/index.ts'
import { START_FACTS } from '../../../core/facts/start.ts'
import { isCurrency, parseMoney } from '../../../core/money/money.ts'
import { parseQuantity } from '../../../core/quantity/units.ts'
import { YEARS } from '../../../core/templates/by-age.ts'
import { refresh } from '../../api/answer.ts'
import { ApiProblem, call } from '../../api/client.ts'
import { useReading } from '../../api/hooks.ts'
import { usePerson } from '../../api/person.ts'
import { asUse } from '../brief/uses.ts'
import { BLANK, choiceOf, DRAFT, readDraft, type Typed } from './start-draft.ts'

type Faults = Readonly<Record<string, string>>
type Reading = ReturnType<typeof useReading>

const SEEN = Object.fromEntries(
  START_FACTS.flatMap((key) => {
    const { assumed } = FACT_ROWS[key]
    return assumed === undefined ? [] : [[key, assumed]]
  }),
)

/** What is typed, as the start is asked with it, or what is wrong with it by field. */
function read(typed: Typed, reading: Reading) {
  const faults: Record<string, string> = {}
  const tried = <T>(field: string, work: () => T): T | null => {
    try {
      return work()
    } catch (error) {
      faults[field] = (error as Error).message
      return null
    }
  }
  if (typed.name.trim() === '') faults.name = 'Give it a name: what the shop calls it.'
  const currency = typed.currency.trim().toUpperCase()
  if (!isCurrency(currency))
    faults.currency = `"${typed.currency}" is not a currency. Use an ISO 4217 code, such as EUR.`
  const massKg =
    typed.mass.trim() === '' ? null : tried('mass', () => parseQuantity(typed.mass, 'kg', reading))
  const labourRateMinor =
    typed.labour.trim() === '' || faults.currency
      ? 0
      : (tried('labour', () => parseMoney(typed.labour, currency)) ?? 0)
  const year = (field: 'recipientYear' | 'engineYear' | 'transmissionYear'): number | null =>
    typed[field].trim() === '' ? null : tried(field, () => yearTyped(typed[field]))
  const body = {
    name: typed.name,
    currency,
    euroRate:
      typed.euroRate.trim() === '' ? null : tried('euroRate', () => rateTyped(typed.euroRate)),
    recipient: choiceOf(typed.recipient, { year: year('recipientYear') }),
    tyre: typed.tyre || null,
    massKg,
    engine: choiceOf(typed.engine, { family: typed.engineFamily, year: year('engineYear') }),
    transmission: choiceOf(typed.transmission, {
      family: typed.transmissionFamily,
      year: year('transmissionYear'),
      isRecipients: typed.keepsGearbox,
    }),
    transfer: choiceOf(typed.transfer),
    use: asUse(typed.use),
    labourRateMinor,
    mustWork: KEPT_ASSEMBLIES.filter((kind) => typed.mustWork.includes(kind)),
    stoppers: typed.stoppers,
    // What stood chosen was seen, so it is said.
    facts: { ...SEEN, ...typed.facts },
  }
  return { faults, body }
}

/** @throws RangeError */
function yearTyped(typed: string): number {
  const year = Number(typed.trim())
  if (!(Number.isInteger(year) && year >= YEARS.from && year <= YEARS.to))
    throw new RangeError(`"${typed}" is not a year. Type four digits, such as 1987.`)
  return year
}

/** @throws RangeError */
function rateTyped(typed: string): number {
  const rate = Number(typed.trim().replace(',', '.'))
  if (!(rate > 0)) throw new RangeError(`"${typed}" is not a rate. Type a figure such as 11.42.`)
  return rate
}

/** The start of a build as it is typed: kept over a reload until it is sent, with faults by field. */
export function useStart() {
  const [typed, setTyped] = useState(readDraft)
  const [faults, setFaults] = useState<Faults>({})
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
  const clear = (): void => {
    localStorage.removeItem(DRAFT)
    setTyped(BLANK)
    setFaults({})
  }
  const start = async (event: FormEvent): Promise<void> => {
    event.preventDefault()
    const { faults: wrong, body } = read(typed, reading)
    setFaults(wrong)
    if (Object.keys(wrong).length > 0) return
    setStarting(true)
    try {
      const build = await call('POST /builds/start', { body: { ...body, saidBy: person.name } })
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
  return { typed, set, faults, clear, start, isStarting }
}

/** What the parts of the start take. */
export type Start = ReturnType<typeof useStart>
