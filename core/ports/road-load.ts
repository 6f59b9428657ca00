import { exact } from './field.ts'
import { definePort } from './port.ts'

/** What holds a vehicle back on the road, and what it commonly carries. */
export const roadLoad = definePort({
  kind: 'road-load',
  title: 'On the road',
  end: 'gearbox',
  fields: {
    dragM2: exact('Drag area, Cd × front, m²', ''),
    rolling: exact('Rolling resistance over weight', ''),
    aboardKg: exact('Commonly aboard: people and load', 'kg', { methods: ['scale'] }),
  },
  how: {
    dragM2:
      'Cd by its front area; or let it roll out from 100 on a level road with no wind, twice, both ways',
    rolling: 'Let it roll out at walking pace on a level floor; 0.010 to 0.015 on road tyres',
    aboardKg: 'Weighbridge as it is driven, less its own mass',
  },
})
