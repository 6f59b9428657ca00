import type { Part } from '../ports/port.ts'
import type { Claim } from '../quantity/claim.ts'
import { ENGINE_TEMPLATES } from './engines.ts'
import type { Template } from './template.ts'
import { TRANSFER_TEMPLATES, TRANSMISSION_TEMPLATES } from './transmissions.ts'
import { traitsOf } from './type-traits.ts'
import { VEHICLE_TEMPLATES } from './vehicles.ts'

/** Every type template. */
export const TEMPLATES: readonly Template[] = [
  ...ENGINE_TEMPLATES,
  ...TRANSMISSION_TEMPLATES,
  ...TRANSFER_TEMPLATES,
  ...VEHICLE_TEMPLATES,
].map((one) => ({ ...one, ports: [...one.ports, ...traitsOf(one)] }))
export const templateOf = (id: string): Template | undefined =>
  TEMPLATES.find((one) => one.id === id)

/** The source named on every claim a template makes. */
export const TEMPLATE_SOURCE = 'Type template'

/** A part as its template has it: every claim assumed. */
export const fromTemplate = (template: Template, partId: string, name = template.words): Part => ({
  id: partId,
  kind: template.kind,
  name,
  ports: template.ports.map(({ kind, slot, looks, fields }) => {
    const id = `${partId}/${kind}/${slot}`
    return {
      id,
      kind,
      slot,
      ...(looks ? { looks } : {}),
      claims: Object.fromEntries(
        Object.entries(fields).map(([field, [value, plusMinus]]): [string, Claim[]] => [
          field,
          [
            {
              id: `${id}.${field}`,
              value,
              grade: 'assumed',
              source: TEMPLATE_SOURCE,
              ...(plusMinus === undefined ? {} : { plusMinus }),
            },
          ],
        ]),
      ),
    }
  }),
})
