import { all, is, no, yes } from '../condition.ts'
import { ENGINE_IN, GEARBOX_IN } from './conditions.ts'
import { given, part, task } from './row.ts'

export const SELLING_AND_HOLDING_LINES = [
  ...given(all(ENGINE_IN, yes('build.sell-old')), [
    part('old-engine-sold-running', 'Old engine sold running', 'shop', 'after', [-700, -300, -60], [0.4, 0.8, 1.6], 'It can be heard', { only: yes('build.runs') }),
    part('old-engine-as-core-or-scrap', 'Old engine as core or scrap', 'shop', 'after', [-150, -50, 0], [0.15, 0.3, 0.8], 'It does not run', { only: no('build.runs') }),
    task('its-brackets-and-plugs-held', 'Brackets and plugs of the old engine held', 'shop', 'after', [0, 0, 0], [0.1, 0.2, 0.45], 'The build needs them, nobody remembers which'),
  ]),
  ...given(all(GEARBOX_IN, yes('build.sell-old')), [
    part('old-gearbox-sold', 'Old gearbox sold', 'shop', 'after', [-350, -130, -20], [0.3, 0.6, 1.2], 'It is worth something'),
    task('its-lever-mount-shaft-held', 'Lever, mount and shaft of the old gearbox held', 'shop', 'after', [0, 0, 0], [0.05, 0.15, 0.35], 'The build may need them'),
  ]),
  ...given(all(ENGINE_IN, is('donor.kind', 'vehicle')), [
    part('leftovers-sold', 'Leftovers sold', 'shop', 'after', [-1200, -450, -80], [4, 10, 24], 'The rest pays for the engine'),
    task('plugs-clips-and-linkages-held', 'Plugs, clips and linkages of the donor held', 'shop', 'after', [0, 0, 0], [0.15, 0.35, 0.8], 'They are needed later and nobody remembers'),
  ]),
]
