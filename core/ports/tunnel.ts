import { span } from './field.ts'
import { definePort } from './port.ts'

const rule = { methods: ['rule', 'tape-shaft'] } as const

/** The tunnel of a vehicle over the straight edge across its mount pads; on a gearbox, its own height over its mount plane. */
export const tunnel = definePort({
  kind: 'tunnel',
  title: 'Tunnel, or the height of the gearbox, by station',
  end: 'gearbox',
  fields: {
    bellMm: span('At the bell', rule),
    leverMm: span('At the lever', rule),
    tailMm: span('At the tail', rule),
    caseMm: span('At the transfer case', rule),
    widthMm: span('Width at shaft height, at the bell', rule),
  },
  how: {
    bellMm: 'Straight edge across the mount pads, up to the roof of the tunnel, at the bell',
    leverMm: 'The same, at the lever',
    tailMm: 'The same, at the tail of the gearbox',
    caseMm: 'The same, where a transfer case sits',
    widthMm: 'Inside width at shaft height, at the bell',
  },
})
