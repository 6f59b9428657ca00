import { type Template, TORQUE_SHARE, transmission } from './template.ts'

/** Types of transmission: ratios, ratings, size and mass one may expect. Common practice, no published source. */
export const TRANSMISSION_TEMPLATES: readonly Template[] = [
  transmission('light-four-speed', 'Light four-speed', 'For engines of its day: torque decides', 28, [3.7, 2.2, 1.4, 1], [150, 6000], 'lengthwise', [160, 560, 320]),
  transmission('heavy-four-speed', 'Heavy four-speed', 'Low first gear, iron case, slow shift', 62, [5.1, 2.8, 1.6, 1], [400, 4500], 'lengthwise', [180, 620, 360]),
  transmission(
    'light-five-speed',
    'Light five-speed',
    'Overdrive for the motorway; the fifth is its weak gear',
    34,
    [3.6, 2.1, 1.4, 1, 0.82],
    [220, 6500],
    'lengthwise',
    [170, 620, 330],
  ),
  transmission(
    'heavy-five-speed',
    'Heavy five-speed',
    'Takes a strong engine; long, so the propshaft is shortened',
    55,
    [3.4, 2.0, 1.33, 1, 0.7],
    [450, 6500],
    'lengthwise',
    [190, 680, 360],
  ),
  transmission('light-six-speed', 'Light six-speed', 'Close ratios, short top', 42, [3.8, 2.2, 1.5, 1.2, 1, 0.85], [280, 7500], 'lengthwise', [170, 640, 340]),
  transmission(
    'heavy-six-speed',
    'Heavy six-speed',
    'Two overdrives and a strong case; wide in the tunnel',
    62,
    [2.97, 2.07, 1.43, 1, 0.84, 0.56],
    [600, 7000],
    'lengthwise',
    [200, 700, 380],
  ),
  transmission(
    'light-automatic',
    'Light four-speed automatic',
    'Hydraulic: a load signal and a cooler it cannot do without',
    65,
    [2.8, 1.5, 1, 0.7],
    [300, 5800],
    'lengthwise',
    [190, 640, 370],
    { stall: 2.1 },
  ),
  transmission(
    'heavy-automatic',
    'Heavy six-speed automatic',
    'Electronic: wants its own computer, or one that plays its part',
    92,
    [4.2, 2.3, 1.5, 1.14, 0.87, 0.69],
    [600, 6500],
    'lengthwise',
    [200, 720, 390],
    { stall: 1.9 },
  ),
  transmission(
    'manual-transaxle',
    'Five-speed transaxle',
    'Gearbox and axle in one case, across the vehicle',
    40,
    [3.5, 1.95, 1.3, 0.95, 0.75],
    [220, 6800],
    'crosswise',
    [150, 400, 380],
    { finalDrive: 4.0 },
  ),
  transmission(
    'automatic-transaxle',
    'Automatic transaxle',
    'Across the vehicle, with its converter beside the engine',
    75,
    [2.7, 1.5, 1, 0.73],
    [260, 6200],
    'crosswise',
    [170, 430, 400],
    { stall: 2, finalDrive: 3.7 },
  ),
]

const transfer = (id: string, words: string, says: string, massKg: number, outputNm: number): Template => ({
  id,
  kind: 'transfer-case',
  words,
  says,
  massKg,
  ports: [{ kind: 'ratings', slot: 'torque', fields: { torqueNm: [outputNm, outputNm * TORQUE_SHARE], reference: ['output'], basis: ['peak'] } }],
})

/** Transfer cases. Their joint is asked, not judged yet. */
export const TRANSFER_TEMPLATES: readonly Template[] = [
  transfer('part-time-gear', 'Part-time transfer case, gears', 'Front output on one side: ask which, before anything else', 52, 1600),
  transfer('full-time-chain', 'Full-time transfer case, chain', 'A differential inside: the front axle is always driven', 44, 1300),
]
