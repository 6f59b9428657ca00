import type { Rule } from '../rule.ts'

/** What every swap must look at and no joint decides yet: mounts and speedometer. */
export const toConfirm: Rule = {
  id: 'to-confirm',
  reads: ['need:engine', 'need:transmission'],
  adds: ['engine-mount', 'gearbox-mount', 'speedometer'],
  run: ({ has }) => [
    ...(has('engine')
      ? [
          {
            kind: 'engine-mount',
            place: 'mounts',
            words: 'Engine mounts',
            quantity: 2,
            level: 'confirm' as const,
            why: [
              {
                rule: 'to-confirm',
                words: 'Pads, height and tilt are not judged yet: confirm or drop',
                parent: 'engine/engine/main',
              },
            ],
          },
        ]
      : []),
    ...(has('transmission')
      ? [
          {
            kind: 'gearbox-mount',
            place: 'mounts',
            words: 'Gearbox mount',
            level: 'confirm' as const,
            why: [
              {
                rule: 'to-confirm',
                words: 'Its place along the train is not judged yet: confirm or drop',
                parent: 'transmission/transmission/main',
              },
            ],
          },
          {
            kind: 'speedometer',
            place: 'driveline',
            words: 'Speedometer drive',
            level: 'confirm' as const,
            why: [
              {
                rule: 'to-confirm',
                words: 'Drive ratio or pulses are not judged yet: confirm or drop',
                parent: 'transmission/transmission/main',
              },
            ],
          },
        ]
      : []),
  ],
}
