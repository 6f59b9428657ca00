import { useState } from 'react'
import type { Donor, Kit } from '../../../contract/answers/rows.ts'
import { refresh, useAnswer } from '../../api/answer.ts'
import { ApiProblem, call } from '../../api/client.ts'
import { Form } from '../../components/form.tsx'
import type { ValuesOf } from '../../components/form-values.ts'
import { BundleContents } from './bundle-contents.tsx'
import { DONOR_FIELDS, donorAmounts, kitFields, kitQualityOf } from './bundle-fields.ts'
import { donorItems, kitItems, type TypedItem, typedItems } from './bundle-items.ts'

/** The parts typed into a kit or donor, kept in this browser until they are saved. */
function useTypedItems(id: string, stored: readonly TypedItem[]) {
  const draft = `draft:items:${id}`
  const [typed, setTyped] = useState<readonly TypedItem[] | null>(() =>
    JSON.parse(localStorage.getItem(draft) ?? 'null'),
  )
  return {
    items: typed ?? stored,
    setItems: (items: readonly TypedItem[]): void => {
      setTyped(items)
      localStorage.setItem(draft, JSON.stringify(items))
    },
    forget: (): void => {
      setTyped(null)
      localStorage.removeItem(draft)
    },
  }
}

/** Faults found while the parts are read stand under the form like the server's. */
function read<T>(work: () => T): T {
  try {
    return work()
  } catch (error) {
    throw error instanceof RangeError ? new ApiProblem(422, error.message) : error
  }
}

/** A kit and what it holds: typed anew, or changed. */
export function KitForm({ kit, onSaved }: { kit: Kit | null; onSaved: (id: string) => void }) {
  const suppliers = useAnswer('GET /suppliers').data?.items
  const { items, setItems, forget } = useTypedItems(kit?.id ?? 'kit', kit ? typedItems(kit) : [])
  if (!suppliers) return null
  const fields = kitFields(suppliers.map((one) => ({ value: one.id, words: one.name })))
  const save = async (values: ValuesOf<typeof fields>): Promise<void> => {
    const body = { ...kitQualityOf(values), items: read(() => kitItems(items)) }
    const { id } = kit
      ? await call('PATCH /kits/{id}', {
          params: { id: kit.id },
          body: { ...body, version: kit.version },
        })
      : await call('POST /kits', { body })
    forget()
    await refresh()
    onSaved(id)
  }
  return (
    <Form
      id={kit ? `kit-${kit.id}` : 'new-kit'}
      fields={fields}
      initial={kit ? { ...kit, ...kit.quality } : { currency: 'EUR', taxIncluded: true }}
      action={kit ? 'Save the kit' : 'Add the kit'}
      submit={save}
    >
      <BundleContents kind="kit" items={items} onChange={setItems} />
    </Form>
  )
}

/** A donor and what it yields: typed anew, or changed. */
export function DonorForm({
  donor,
  onSaved,
}: {
  donor: Donor | null
  onSaved: (id: string) => void
}) {
  const { items, setItems, forget } = useTypedItems(
    donor?.id ?? 'donor',
    donor ? typedItems(donor) : [],
  )
  const save = async (values: ValuesOf<typeof DONOR_FIELDS>): Promise<void> => {
    const body = {
      ...donorAmounts(values),
      items: read(() => donorItems(items, values.currency)),
    }
    const { id } = donor
      ? await call('PATCH /donors/{id}', {
          params: { id: donor.id },
          body: { ...body, version: donor.version },
        })
      : await call('POST /donors', { body })
    forget()
    await refresh()
    onSaved(id)
  }
  return (
    <Form
      id={donor ? `donor-${donor.id}` : 'new-donor'}
      fields={DONOR_FIELDS}
      initial={donor ?? { currency: 'EUR', saleFee: 1 / 6 }}
      action={donor ? 'Save the donor' : 'Add the donor'}
      submit={save}
    >
      <BundleContents kind="donor" items={items} onChange={setItems} />
    </Form>
  )
}
