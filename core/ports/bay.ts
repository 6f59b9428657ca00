import { span } from './field.ts'
import { definePort } from './port.ts'

const tape = { methods: ['tape-bay', 'rule'] } as const

/** The engine bay of a vehicle: what an engine must go into. */
export const bay = definePort({
  kind: 'bay',
  title: 'Engine bay',
  end: 'gearbox',
  fields: {
    lengthMm: span('Radiator to firewall', tape),
    widthMm: span('Between towers or rails', tape),
    heightMm: span('Crank axis to bonnet', tape),
    boosterMm: span('Crank axis to brake booster', tape),
    columnMm: span('Crank axis to steering shaft', tape),
  },
  how: {
    lengthMm: 'Radiator core to firewall, at the widest place of the engine',
    widthMm: 'Between the towers or rails, at head height',
    heightMm: 'Middle of the crank to the bonnet, clay on the highest place',
    boosterMm: 'Middle of the crank to the brake booster, at head height',
    columnMm: 'Middle of the crank to the steering shaft, at its nearest',
  },
})
