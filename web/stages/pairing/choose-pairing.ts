import type { PairingDetail } from '../../../contract/answers/pairings.ts'
import type { PlacementSchool } from '../../../core/joints/joint.ts'
import { call } from '../../api/client.ts'
import { act } from '../../api/hooks.ts'

/** Makes a pairing the build's, with the set that closes it best or another; what the list did not say is said. */
export const choosePairing = (
  build: string,
  {
    engine,
    transmission,
    engineName,
    transmissionName,
    transfer: { other },
  }: Pick<
    PairingDetail,
    'engine' | 'transmission' | 'engineName' | 'transmissionName' | 'transfer'
  >,
  inserted?: readonly string[],
  /** How the train is placed where it is chosen; the build is placed so from then on. */
  school?: PlacementSchool,
): Promise<boolean> =>
  act(
    () =>
      call('POST /builds/{id}/pairing', {
        params: { id: build },
        body: {
          engineId: engine,
          transmissionId: transmission,
          ...(other ? { transferId: other } : {}),
          ...(inserted ? { inserted: [...inserted] } : {}),
          ...(school ? { school } : {}),
        },
      }),
    `${engineName} with ${transmissionName} is chosen.`,
  )
