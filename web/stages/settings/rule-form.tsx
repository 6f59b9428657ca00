import { useState } from 'react'
import { toast } from 'sonner'
import useSWR from 'swr'
import type { Answer } from '../../../contract/asked.ts'
import { readSuffixes, readWords, writeSuffixes } from '../../../core/identity/rule-words.ts'
import { refresh } from '../../api/answer.ts'
import { call } from '../../api/client.ts'
import { Check } from '../../components/fields/check.tsx'
import { Field, INPUT } from '../../components/fields/field.tsx'
import { Button } from '../../components/ui.tsx'
import { useSettled } from '../../components/use-settled.ts'

type Issuer = Answer<'GET /issuers'>['items'][number]
type Preview = Answer<'POST /issuers/{id}/preview'>

/** A rule as it is typed. */
interface Typed {
  readonly name: string
  readonly marks: string
  readonly upper: boolean
  readonly prefixes: string
  readonly zeros: string
  readonly shapes: string
  readonly suffixes: string
  readonly gtin: boolean
}

function typedOf({ name, noise, upper, rule }: Issuer): Typed {
  const zeros = rule?.zeros ?? 'keep'
  return {
    name,
    marks: noise.trim(),
    upper,
    prefixes: (rule?.prefixes ?? []).join(' '),
    zeros: typeof zeros === 'object' ? String(zeros.pad) : zeros,
    shapes: (rule?.shapes ?? []).join('\n'),
    suffixes: writeSuffixes(rule?.suffixes ?? []),
    gtin: rule?.check === 'gtin',
  }
}

/** What is typed as a rule. @throws RangeError saying what cannot be read */
function ruleOf({ marks, upper, prefixes, zeros, shapes, suffixes, gtin }: Typed) {
  const pad = Number(zeros)
  if (zeros !== 'keep' && zeros !== 'drop' && !(Number.isInteger(pad) && pad > 0 && pad <= 40))
    throw new RangeError('Zeros in front: "keep", "drop", or the number of digits they fill up to.')
  return {
    upper,
    noise: ` ${marks}`,
    rule: {
      prefixes: [...readWords(prefixes)],
      zeros: zeros === 'keep' || zeros === 'drop' ? (zeros as 'keep' | 'drop') : { pad },
      shapes: [...readWords(shapes)],
      suffixes: readSuffixes(suffixes).map((one) => ({ ...one, shapes: [...one.shapes] })),
      check: gtin ? ('gtin' as const) : ('none' as const),
    },
  }
}

/** How an issuer writes its numbers: typed, with what it would make of the numbers there are told before it is saved. */
export function RuleForm({ issuer, onDone }: { issuer: Issuer; onDone: () => void }) {
  const [typed, setTyped] = useState(() => typedOf(issuer))
  const [fault, tell] = useState('')
  const change = (more: Partial<Typed>): void => {
    setTyped((before) => ({ ...before, ...more }))
    tell('')
  }
  const asked = useSettled(typed)
  const preview = useSWR(
    [`/issuers/${issuer.id}/preview`, JSON.stringify(asked)],
    async () =>
      call('POST /issuers/{id}/preview', { params: { id: issuer.id }, body: ruleOf(asked) }),
    { keepPreviousData: true, shouldRetryOnError: false },
  )
  const save = async (): Promise<void> => {
    try {
      await call('PATCH /issuers/{id}', {
        params: { id: issuer.id },
        body: { version: issuer.version, name: typed.name.trim(), ...ruleOf(typed) },
      })
      await refresh()
      toast(`${typed.name.trim()} is saved.`)
      onDone()
    } catch (error) {
      tell((error as Error).message)
    }
  }
  const text = (name: 'name' | 'marks' | 'prefixes' | 'zeros', label: string, hint = '') => (
    <Field label={label} hint={hint}>
      {(shared) => (
        <input
          {...shared}
          className={`${INPUT} figure`}
          value={typed[name]}
          onChange={({ target }) => change({ [name]: target.value })}
        />
      )}
    </Field>
  )
  const area = (name: 'shapes' | 'suffixes', label: string, hint: string) => (
    <Field label={label} hint={hint}>
      {(shared) => (
        <textarea
          {...shared}
          rows={3}
          className={`${INPUT} figure`}
          value={typed[name]}
          onChange={({ target }) => change({ [name]: target.value })}
        />
      )}
    </Field>
  )
  const check = (name: 'upper' | 'gtin', label: string) => (
    <Check isChecked={typed[name]} onChange={(is) => change({ [name]: is })}>
      {label}
    </Check>
  )
  return (
    <form
      className="flex flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault()
        void save()
      }}
    >
      <div className="grid grid-cols-2 gap-3 max-[560px]:grid-cols-1">
        {text('name', 'Name')}
        {text('marks', 'Marks that are noise, beside the space')}
        {text('prefixes', 'Prefixes that say nothing', 'Apart by spaces')}
        {text('zeros', 'Zeros in front', 'keep, drop, or digits they fill up to')}
        {area('shapes', 'Shapes, one a line', '# a digit, @ a letter, * either; blank: any')}
        {area(
          'suffixes',
          'Suffixes, one a line, in their order',
          'side L R · colour @@ · revision #, decides',
        )}
      </div>
      {check('upper', 'Case does not count')}
      {check('gtin', 'The last digit is a check digit of trade items')}
      <Told
        preview={preview.data}
        fault={fault || ((preview.error as Error | undefined)?.message ?? '')}
      />
      <Button type="submit" tone="main" className="self-start">
        Save
      </Button>
    </form>
  )
}

/** What it would make of the numbers there are. */
function Told({ preview, fault }: { preview: Preview | undefined; fault: string }) {
  if (fault)
    return (
      <p role="alert" className="border-l-[3px] border-clash pl-2.5">
        {fault}
      </p>
    )
  if (!preview) return null
  const { of, fits, changedCount, changed, met, parted, blocked } = preview
  const names = (numbers: Preview['met'][number]['numbers']): string =>
    numbers.map(({ number }) => number).join(', ')
  return (
    <section
      aria-label="What it does to the numbers there are"
      className="border-line border-t pt-2"
    >
      <p role="status">
        Of <span className="figure">{of}</span> numbers <span className="figure">{fits}</span> have
        a shape of it and <span className="figure">{changedCount}</span>{' '}
        {changedCount === 1 ? 'is' : 'are'} read otherwise.
      </p>
      <ul className="figure max-h-40 overflow-y-auto text-steel">
        {changed.map(({ number, from, to }) => (
          <li key={number}>
            {number}: {from} → {to}
          </li>
        ))}
      </ul>
      {met.map(({ key, numbers }) => (
        <p key={`met ${key}`}>
          {names(numbers)} come to one, <span className="figure">{key}</span>.
        </p>
      ))}
      {parted.map(({ key, numbers }) => (
        <p key={`parted ${key}`}>{names(numbers)} come apart.</p>
      ))}
      {blocked.map(({ key }) => (
        <p key={`blocked ${key}`} role="alert" className="border-l-[3px] border-clash pl-2.5">
          <span className="figure">{key}</span> would be the number of two parts: it cannot be saved
          so.
        </p>
      ))}
    </section>
  )
}
