/** What may have to work still, as the brief asks after it. */
export const KEPT_ASSEMBLIES = [
  'air-conditioning',
  'steering-assist',
  'brake-assist',
  'cruise',
  'gauges',
  'four-wheel-drive',
  'power-take-off',
  'speedometer',
  'range-indicator',
  'emissions-equipment',
  'heater',
] as const
