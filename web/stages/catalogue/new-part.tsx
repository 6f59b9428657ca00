import { type FormEvent, useState } from 'react'
import { useNavigate } from 'react-router'
import { CATALOGUE_OPTIONS, isCatalogueKind } from '../../../core/needs/catalogue-kinds.ts'
import { isCouplingKind } from '../../../core/pairing/coupling.ts'
import { isPortKind, PORT_KINDS } from '../../../core/ports/index.ts'
import { kindWords, typedPorts } from '../../../core/ports/part-kinds.ts'
import { GRADES, isGrade } from '../../../core/quantity/grade.ts'
import { refresh, useAnswer } from '../../api/answer.ts'
import { ApiProblem, call } from '../../api/client.ts'
import { useReading, useToday } from '../../api/hooks.ts'
import { Field } from '../../components/fields/field.tsx'
import { PartCombobox } from '../../components/fields/part-combobox.tsx'
import { optionsOf, Select } from '../../components/fields/select.tsx'
import { Button, PageHead } from '../../components/ui.tsx'
import { PortFields, Text } from './new-part-fields.tsx'
import { readFields, type Typed } from './read-part-fields.ts'

/** Typing a part: identity, then each port with what was measured. What is left out is not known. */
export function NewPart({ kind: fixed }: { kind: string | null }) {
  const draft = `draft:part:${fixed ?? 'any'}`
  const [typed, setAll] = useState<Typed>(() => readDraft(draft))
  const [faults, setFaults] = useState<Typed>({})
  const [said, setSaid] = useState('')
  const today = useToday()
  const navigate = useNavigate()
  const reading = useReading()
  const kind = fixed ?? (isCatalogueKind(typed.kind ?? '') ? typed.kind! : 'disc')
  const ports = typedPorts(kind)
  const offered = useAnswer('GET /templates').data?.templates ?? []
  const types = offered.filter((one) => one.kind === kind)
  const type = types.find(({ id }) => id === typed.template)
  const noOwner = isCouplingKind(kind) ? 'Sold by itself' : 'None of ours'
  const put = (more: Typed): void => {
    const next = { ...typed, ...more }
    setAll(next)
    localStorage.setItem(draft, JSON.stringify(next))
  }
  const set = (name: string, value: string): void => put({ [name]: value })

  const save = async (event: FormEvent): Promise<void> => {
    event.preventDefault()
    const found: Typed = {}
    if (!typed.name?.trim() && !type) found.name = 'Give it a name.'
    for (const year of ['fromYear', 'toYear'])
      if (typed[year]?.trim() && !/^\d{4}$/.test(typed[year]!.trim()))
        found[year] = 'Type a year such as 1979.'
    if (Boolean(typed.issuer?.trim()) !== Boolean(typed.number?.trim()))
      found.number = 'A number needs its issuer, and an issuer a number.'
    const wire = ports.flatMap(({ kind: port, slot, looks }) =>
      isPortKind(port)
        ? [
            {
              kind: port,
              slot,
              ...(looks ? { looks } : {}),
              fields: readFields(
                port,
                slot,
                typed,
                reading,
                found,
                looks ?? PORT_KINDS[port].looks,
              ),
            },
          ]
        : [],
    )
    setFaults(found)
    if (Object.keys(found).length > 0) {
      setSaid(
        `${Object.keys(found).length} ${Object.keys(found).length === 1 ? 'field is' : 'fields are'} not right yet: see below.`,
      )
      return
    }
    try {
      const part = await call('POST /parts', {
        body: {
          kind,
          name: typed.name?.trim() || type?.words || '',
          ...(type ? { template: type.id } : {}),
          ...(typed.ownerId ? { ownerId: typed.ownerId } : {}),
          ...(typed.fromYear ? { fromYear: Number(typed.fromYear) } : {}),
          ...(typed.toYear ? { toYear: Number(typed.toYear) } : {}),
          ports: wire.filter((port) => Object.keys(port.fields).length > 0),
          numbers: typed.number?.trim()
            ? [{ issuer: typed.issuer ?? '', number: typed.number }]
            : [],
          said: {
            grade: isGrade(typed.grade) ? typed.grade : 'measured',
            ...(typed.by ? { by: typed.by } : {}),
            ...(typed.source ? { source: typed.source } : {}),
            day: today,
          },
        },
      })
      localStorage.removeItem(draft)
      await refresh()
      navigate(`/catalogue/parts/${encodeURIComponent(part.id)}`)
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error
      setSaid(error.message)
    }
  }

  return (
    <form onSubmit={(event) => void save(event)} noValidate className="pb-12">
      <PageHead
        title={`Add ${fixed ? `${/^[aeiou]/i.test(kindWords(fixed)) ? 'an' : 'a'} ${kindWords(fixed).toLowerCase()}` : 'a part'}`}
        detail={`Leave out what is not known. Any unit is read: 86 mm, 3 3/8 in, M10x1.25, 26 spline 1-1/8.`}
      />
      <div className="flex max-w-4xl flex-col gap-6 px-4">
        <div className="grid grid-cols-3 gap-x-5 gap-y-3 max-[900px]:grid-cols-1">
          {!fixed && (
            <Field label="Kind">
              {({ id }) => (
                <Select
                  id={id}
                  value={kind}
                  options={CATALOGUE_OPTIONS}
                  onChange={(chosen) => set('kind', chosen)}
                />
              )}
            </Field>
          )}
          {types.length > 0 && (
            <Field label="Type" hint={type?.says ?? 'What is not typed below is assumed of it'}>
              {(shared) => (
                <Select
                  {...shared}
                  value={type?.id ?? ''}
                  options={types.map((one) => ({ value: one.id, words: one.words }))}
                  nothing="None: only what is typed"
                  onChange={(chosen) => set('template', chosen)}
                />
              )}
            </Field>
          )}
          <Text name="name" label="Name" typed={typed} faults={faults} set={set} />
          {(isCouplingKind(kind) || kind === 'engine' || kind === 'transmission') && (
            <Field
              label={
                kind === 'engine' || kind === 'transmission' ? 'Fitted in the vehicle' : 'Came with'
              }
            >
              {({ id }) => (
                <PartCombobox
                  id={id}
                  kind={isCouplingKind(kind) ? 'engine,transmission' : 'vehicle'}
                  shown={typed.ownerName ?? noOwner}
                  nothing={noOwner}
                  onPick={(owner) =>
                    put({ ownerId: owner?.id ?? '', ownerName: owner?.name ?? noOwner })
                  }
                />
              )}
            </Field>
          )}
          <Text name="fromYear" label="From year" typed={typed} faults={faults} set={set} />
          <Text name="toYear" label="To year" typed={typed} faults={faults} set={set} />
          <Text
            name="issuer"
            label="Issuer of its number"
            typed={typed}
            faults={faults}
            set={set}
          />
          <Text name="number" label="Part number" typed={typed} faults={faults} set={set} />
          <Field label="How the values below are known">
            {({ id }) => (
              <Select
                id={id}
                value={typed.grade ?? 'measured'}
                options={optionsOf(GRADES)}
                onChange={(grade) => set('grade', grade)}
              />
            )}
          </Field>
          <Text name="by" label="By whom" typed={typed} faults={faults} set={set} />
          <Text name="source" label="Source" typed={typed} faults={faults} set={set} />
        </div>
        {ports.map(
          ({ kind: port, slot, looks }) =>
            isPortKind(port) && (
              <PortFields
                key={`${port}/${slot}`}
                kind={port}
                slot={slot}
                looks={looks}
                typed={typed}
                faults={faults}
                set={set}
              />
            ),
        )}
        {said && (
          <p role="alert" className="border-l-[3px] border-clash pl-2.5">
            {said}
          </p>
        )}
        <Button type="submit" tone="main" className="self-start">
          Add it
        </Button>
      </div>
    </form>
  )
}

const readDraft = (key: string): Typed => {
  try {
    return JSON.parse(localStorage.getItem(key) ?? '{}')
  } catch {
    return {}
  }
}
