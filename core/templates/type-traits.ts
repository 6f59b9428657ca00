import { FACT_ROWS, isFactKey } from '../facts/index.ts'
import type { Template, TemplatePort } from './template.ts'

const OWNER: Partial<Record<Template['kind'], 'engine' | 'gearbox' | 'vehicle'>> = {
  engine: 'engine',
  transmission: 'gearbox',
  vehicle: 'vehicle',
}

const FOUR =
  'fuel=petrol air=natural cooling=water pump=no compressor=no vacuum=yes charge=own hot=right'
const OLD = `${FOUR} injection=carburettor return=no throttle=cable electronics=none spark=distributor emission=none cams=block timing=chain`
const INJECTED = `${FOUR} injection=port return=yes throttle=cable electronics=plain spark=coils emission=catalyst cams=head`
const DIESEL =
  'fuel=diesel cooling=water pump=no compressor=no vacuum=no charge=own hot=right throttle=cable spark=none return=yes'
const LENGTHWISE = 'born=lengthwise outlet=front fan=belt'
const CROSSWISE = 'born=crosswise outlet=side fan=electric'
const MANUAL = 'nose=yes release=fork shift=direct output=yoke speedo=cable'
const AUTOMATIC = 'nose=no output=yoke shift=rods case=none'
const CAR =
  'driven=two body=shell frame=none fuel=petrol box=manual booster=vacuum steering=none volts=twelve charge=alternator'
const SIMPLE = `${CAR} supply=low return=no throttle=cable cluster=senders electronics=none speedo=cable clutch=hydraulic air=no bags=no lock=no`
const LATER = `${CAR} supply=high return=yes throttle=cable cluster=senders electronics=none speedo=pulse air=no lock=no`

/** What one may assume of a type, by template: common practice, no published source. */
const TRAITS: Readonly<Record<string, string>> = {
  'iron-four-lengthwise': `${OLD} ${LENGTHWISE}`,
  'iron-four-crosswise': `${OLD} ${CROSSWISE}`,
  'alloy-four-lengthwise': `${INJECTED} ${LENGTHWISE} timing=belt`,
  'alloy-four-crosswise': `${INJECTED} ${CROSSWISE} timing=belt`,
  'alloy-four-blown': `${INJECTED} ${LENGTHWISE} timing=belt air=turbo`,
  'iron-six-lengthwise': `${OLD} ${LENGTHWISE}`,
  'alloy-six-lengthwise': `${INJECTED} ${LENGTHWISE} timing=chain`,
  'alloy-six-crosswise': `${INJECTED} ${CROSSWISE} timing=chain hot=both`,
  'iron-eight': `${OLD} ${LENGTHWISE} hot=both`,
  'alloy-eight': `${INJECTED} ${LENGTHWISE} timing=chain hot=both`,
  'diesel-four-light': `${DIESEL} ${LENGTHWISE} injection=pump air=natural electronics=none timing=belt emission=none cams=head`,
  'diesel-four-heavy': `${DIESEL} ${LENGTHWISE} injection=pump air=turbo electronics=none timing=gears emission=none cams=block`,
  'diesel-six-heavy': `${DIESEL} ${LENGTHWISE} injection=pump air=turbo electronics=none timing=gears emission=none cams=block`,
  'light-four-speed': MANUAL,
  'heavy-four-speed': MANUAL,
  'light-five-speed': MANUAL,
  'heavy-five-speed': MANUAL,
  'light-six-speed': MANUAL.replace('speedo=cable', 'speedo=pulse'),
  'heavy-six-speed': MANUAL.replace('speedo=cable', 'speedo=pulse').replace('fork', 'concentric'),
  'light-automatic': `${AUTOMATIC} control=cable speedo=cable`,
  'heavy-automatic': `${AUTOMATIC} control=vacuum speedo=cable`,
  'manual-transaxle': 'nose=no release=fork shift=cables output=sides speedo=pulse case=none',
  'automatic-transaxle':
    'nose=no control=electronic shift=cables output=sides speedo=pulse case=none',
  'panel-van': `${SIMPLE} layout=lengthwise axle=live`,
  'saloon-rear-drive': `${SIMPLE} layout=lengthwise axle=live`,
  'saloon-crosswise': `${LATER} layout=crosswise axle=independent clutch=cable`,
  pickup: `${SIMPLE} layout=lengthwise axle=live`.replace('body=shell', 'body=rails'),
  'four-by-four': `${SIMPLE} layout=lengthwise axle=live`
    .replace('driven=two', 'driven=four')
    .replace('body=shell', 'body=rails'),
  roadster: `${SIMPLE} layout=lengthwise axle=live`.replace('booster=vacuum', 'booster=none'),
  'coupe-mid': `${LATER} layout=mid axle=independent clutch=hydraulic`,
  tractor:
    'layout=tractor driven=two body=rails frame=castings side=middle fuel=diesel supply=low return=yes throttle=rod box=manual clutch=rod steering=none booster=none cluster=senders electronics=none volts=twelve charge=alternator air=no bags=no lock=no evap=no',
}

/**
 * The traits of a type as a port, every value assumed; none where the type has no traits.
 *
 * @throws TypeError where a trait is no fact or has no such value
 */
export function traitsOf({ id, kind }: Template): TemplatePort[] {
  const owner = OWNER[kind]
  const said = TRAITS[id]
  if (!owner || said === undefined) return []
  const fields: Record<string, readonly [string]> = {}
  for (const one of said.split(/\s+/)) {
    const [tail = '', value = ''] = one.split('=')
    const key = `${owner}.${tail}`
    if (!isFactKey(key) || !FACT_ROWS[key].values.includes(value))
      throw new TypeError(`${id}: "${one}" is no trait of a ${kind}.`)
    fields[tail] = [value]
  }
  return [{ kind: `${owner}-traits`, slot: 'main', fields }]
}
