import { type Template, vehicle } from './template.ts'

/** Types of recipient. Common practice, no published source. */
export const VEHICLE_TEMPLATES: readonly Template[] = [
  vehicle(
    'panel-van',
    'Panel van, rear drive',
    'Engine between the seats: access from above is poor, heat and noise matter',
    1500,
    [4.1, 1400],
    '185/80R14',
    'lengthwise',
    [900, 420, 860, 2900],
    { axleTorqueNm: 2600 },
  ),
  vehicle('saloon-rear-drive', 'Saloon, rear drive', 'A long bay and a tunnel: the easy case', 1250, [3.7, 850], '195/65R15', 'lengthwise', [950, 480, 1080, 3150], {
    axleTorqueNm: 2400,
  }),
  vehicle('saloon-crosswise', 'Saloon, engine crosswise', 'No tunnel worth the name: the gearbox decides', 1150, [4.0, 720], '185/65R14', 'crosswise', [420, 380, 900, 3000], {
    axleTorqueNm: 2200,
  }),
  vehicle('pickup', 'Pickup', 'A frame to weld to and room to work', 1550, [3.9, 1500], '205/80R16', 'lengthwise', [1000, 520, 1150, 3500], { axleTorqueNm: 3200 }),
  vehicle('four-by-four', '4×4', 'Transfer case, front shaft and its angle decide before the engine does', 1800, [4.1, 1500], '235/85R16', 'lengthwise', [980, 480, 1120, 2950], {
    axleTorqueNm: 3800,
  }),
  vehicle('roadster', 'Roadster', 'Light and low: bonnet, tunnel and the axle are the limits', 950, [3.9, 560], '185/60R14', 'lengthwise', [900, 450, 1000, 2600], {
    axleTorqueNm: 1900,
  }),
  vehicle(
    'coupe-mid',
    'Coupé, engine amidships',
    'Engine and transaxle behind the seats: heat and the way in decide',
    1150,
    [4.0, 750],
    '205/55R16',
    'mid',
    [2300, 420, 1700, 2850],
    { axleTorqueNm: 2300 },
  ),
  vehicle('tractor', 'Tractor', 'The castings are the frame: face and shaft decide everything', 2200, [14, 1800], '400/70R24', 'lengthwise', [1050, 520, 1250, 2450], {
    axleTorqueNm: 14000,
  }),
]
