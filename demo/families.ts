import type { DocumentWriter } from './document.ts'
import { CASE_PATTERNS, drilled, PATTERNS, type Pattern } from './patterns.ts'
import { type BoxOf, type EngineOf, engine, gearbox } from './train.ts'

const crank = (count: number, circleMm: number, registerMm: number, thread = 'M10x1.25') => ({
  count,
  circleMm,
  registerMm,
  thread,
})
const SMALL = crank(6, 66, 36)
const MIDDLE = crank(8, 74, 42)
const LARGE = crank(8, 92, 50, 'M12x1.25')

type Family = Pick<EngineOf, 'pattern' | 'crank' | 'size' | 'nose'> & Partial<EngineOf>
type Group = readonly [
  id: string,
  name: string,
  from: number,
  to: number,
  flange: number,
  nm: number,
  rpm: number,
  redline: number,
  rest?: Partial<EngineOf>,
]

/** Year groups of one family: what all share, and what each has of its own. */
function family(doc: DocumentWriter, shared: Family, groups: readonly Group[]): void {
  for (const [id, name, from, to, flange, nm, rpm, redline, rest] of groups)
    engine(doc, {
      ...shared,
      id,
      name,
      years: [from, to],
      flange,
      torque: [nm, rpm, redline],
      ...rest,
    })
}

/** The engines beside Lantern's own: with those twelve families in thirty year groups, some of them hardly measured. */
export function moreEngines(doc: DocumentWriter): void {
  family(doc, { pattern: PATTERNS.marlund, crank: crank(6, 64, 36), size: [505, 585], nose: 15 }, [
    [
      'hob-late',
      'Marlund Hob, late',
      1984,
      1988,
      4.2,
      124,
      2900,
      5400,
      { pads: [-250, 40, 480], pan: [-190, -20, 190] },
    ],
    ['trivet-1', 'Marlund Trivet, 1st', 1981, 1987, 6.4, 138, 2600, 5000, { unmeasured: true }],
    [
      'trivet-2',
      'Marlund Trivet, 2nd',
      1988,
      1994,
      6.4,
      146,
      2700,
      5200,
      { pads: [-255, 42, 480], pan: [-200, -30, 195] },
    ],
  ])
  family(
    doc,
    { pattern: PATTERNS.wickSecond, crank: crank(8, 72, 40), size: [540, 618], nose: 15 },
    [
      [
        'wick-3',
        'Kessarn Wick, 3rd',
        1998,
        2003,
        14.7,
        181,
        3400,
        6200,
        { sensor: ['wheel', 60], pads: [-265, 46, 500], pan: [-185, -30, 195] },
      ],
      [
        'wick-4',
        'Kessarn Wick, 4th, throttle by wire',
        2004,
        2009,
        14.7,
        190,
        3600,
        6400,
        { sensor: ['wheel, from the bell', 60], unmeasured: true },
      ],
    ],
  )
  family(doc, { pattern: PATTERNS.ember, crank: MIDDLE, size: [610, 640], nose: 17 }, [
    [
      'ember-1',
      'Kessarn Ember, 1st',
      1986,
      1992,
      11.5,
      224,
      2600,
      5000,
      { pads: [-290, 50, 520], pan: [-240, -40, 200] },
    ],
    ['ember-2', 'Kessarn Ember, 2nd', 1993, 1999, 11.5, 238, 2700, 5200, { sensor: ['block', 36] }],
    [
      'ember-3',
      'Kessarn Ember, 3rd',
      2000,
      2006,
      12.1,
      252,
      2900,
      5600,
      { sensor: ['wheel', 60], unmeasured: true },
    ],
  ])
  family(doc, { pattern: PATTERNS.quill, crank: crank(6, 70, 38), size: [495, 625], nose: 17 }, [
    [
      'quill-3',
      'Sunagi Quill, 3rd, throttle by wire',
      2000,
      2005,
      16.7,
      170,
      4400,
      6800,
      { sensor: ['wheel, from the bell', 60], unmeasured: true },
    ],
  ])
  family(
    doc,
    { pattern: PATTERNS.nib, crank: SMALL, size: [430, 570], nose: 14, layout: 'crosswise' },
    [
      [
        'nib-1',
        'Sunagi Nib, 1st',
        1992,
        1998,
        12.2,
        112,
        3600,
        6400,
        { sensor: ['crank nose', 36] },
      ],
      [
        'nib-2',
        'Sunagi Nib, 2nd',
        1999,
        2006,
        12.2,
        121,
        3800,
        6600,
        { sensor: ['crank nose', 60], unmeasured: true },
      ],
    ],
  )
  family(
    doc,
    { pattern: PATTERNS.anvil, crank: LARGE, size: [720, 680], nose: 17, automatic: true },
    [
      ['anvil-early', 'Dovrek Anvil, early', 1982, 1989, 10, 296, 2200, 4600, { unmeasured: true }],
      [
        'anvil-late',
        'Dovrek Anvil, late',
        1999,
        2006,
        10.4,
        342,
        2600,
        5200,
        { sensor: ['wheel', 60] },
      ],
    ],
  )
  family(
    doc,
    { pattern: PATTERNS.maul, crank: LARGE, size: [830, 705], nose: 17, automatic: true },
    [
      [
        'maul-1',
        'Dovrek Maul six, 1st',
        1988,
        1994,
        12,
        368,
        1900,
        4400,
        { pads: [-380, 64, 560], pan: [-420, -80, 205] },
      ],
      [
        'maul-2',
        'Dovrek Maul six, 2nd',
        1995,
        2001,
        12,
        392,
        2000,
        4600,
        { sensor: ['wheel', 60], pads: [-380, 64, 560], pan: [-420, -80, 205] },
      ],
      [
        'maul-3',
        'Dovrek Maul six, 3rd',
        2002,
        2008,
        12.3,
        420,
        2200,
        4800,
        { sensor: ['wheel, from the bell', 60], unmeasured: true },
      ],
    ],
  )
  family(doc, { pattern: PATTERNS.adze, crank: LARGE, size: [680, 760], nose: 17 }, [
    [
      'adze-1',
      'Dovrek Adze diesel, 1st',
      1987,
      1995,
      15,
      285,
      1700,
      3800,
      { pads: [-300, 58, 560], pan: [-320, -60, 215] },
    ],
    [
      'adze-2',
      'Dovrek Adze diesel, 2nd',
      1996,
      2004,
      15,
      340,
      1600,
      3900,
      { sensor: ['block', 60] },
    ],
  ])
  family(
    doc,
    { pattern: PATTERNS.tarn, crank: SMALL, size: [450, 590], nose: 14, layout: 'crosswise' },
    [
      ['tarn-1', 'Obrelle Tarn, 1st', 1989, 1995, 9.8, 143, 4000, 6600, { sensor: ['wheel', 36] }],
      ['tarn-2', 'Obrelle Tarn, 2nd', 1996, 2001, 9.8, 158, 4200, 6900, { sensor: ['wheel', 60] }],
      [
        'tarn-3',
        'Obrelle Tarn, 3rd, throttle by wire',
        2002,
        2008,
        10.6,
        187,
        4500,
        7200,
        { sensor: ['wheel, from the bell', 60], unmeasured: true },
      ],
    ],
  )
  family(doc, { pattern: PATTERNS.fen, crank: SMALL, size: [480, 600], nose: 15 }, [
    ['fen-1', 'Obrelle Fen, 1st', 1985, 1991, 8.2, 132, 3000, 5600],
    ['fen-2', 'Obrelle Fen, 2nd', 1992, 1998, 8.2, 141, 3200, 5800, { sensor: ['crank nose', 36] }],
  ])
  family(doc, { pattern: PATTERNS.fen, crank: MIDDLE, size: [560, 630], nose: 15 }, [
    [
      'weir',
      'Obrelle Weir',
      1994,
      2002,
      9.4,
      204,
      3400,
      6000,
      { sensor: ['block', 60], unmeasured: true },
    ],
  ])
}

const box = (
  doc: DocumentWriter,
  shared: Omit<BoxOf, 'id' | 'name'>,
  versions: readonly (readonly [id: string, name: string, rest?: Partial<BoxOf>])[],
): void => {
  for (const [id, name, rest] of versions) gearbox(doc, { ...shared, id, name, ...rest })
}

/** The gearboxes beside Lantern's own: with those ten in twenty versions, some the same inside with another face. */
export function moreGearboxes(doc: DocumentWriter): void {
  const light = { clutch: [52, -6, 18], nose: 15, speedRpm: 6500 } as const
  box(
    doc,
    {
      ...light,
      pattern: PATTERNS.marlund,
      original: [4.2, 1.5],
      gears: [3.9, 2.26, 1.41, 1],
      torqueNm: 210,
      size: [165, 515, 310],
    },
    [
      [
        'marlund-4b',
        'Marlund 4-speed, long tail',
        {
          mount: [560, 125],
          output: [760, 24, 32],
          lever: 580,
          bell: ['left', false],
          perTurn: 0.3,
        },
      ],
    ],
  )
  box(
    doc,
    {
      ...light,
      pattern: PATTERNS.marlund,
      original: [6.4, 0],
      gears: [3.7, 2.1, 1.38, 1, 0.84],
      torqueNm: 225,
      size: [165, 560, 315],
    },
    [
      [
        'marlund-5',
        'Marlund 5-speed',
        {
          mount: [545, 126],
          output: [745, 24, 32],
          lever: 565,
          bell: ['left', false],
          perTurn: 0.3,
        },
      ],
      ['marlund-5b', 'Marlund 5-speed, close ratio', { gears: [3.2, 2.0, 1.4, 1.12, 0.9] }],
    ],
  )
  box(
    doc,
    {
      clutch: [54, -6.5, 19],
      nose: 15,
      speedRpm: 7000,
      pattern: PATTERNS.ember,
      original: [11.5, 0],
      gears: [3.62, 2.08, 1.37, 1, 0.82],
      torqueNm: 260,
      size: [178, 590, 325],
    },
    [
      [
        'kessarn-5b',
        'Kessarn 5-speed, Ember face',
        {
          nose: 17,
          mount: [560, 128],
          output: [780, 26, 34],
          lever: 590,
          bell: ['left', false],
          perTurn: 0.28,
        },
      ],
    ],
  )
  box(
    doc,
    {
      clutch: [0, 0, 0],
      nose: 17,
      speedRpm: 5400,
      pattern: PATTERNS.ember,
      original: [11.5, 0],
      gears: [2.5, 1.5, 1],
      torqueNm: 520,
      size: [190, 640, 380],
      automatic: true,
    },
    [['kessarn-3a', 'Kessarn 3-automatic', { mount: [610, 145], output: [840, 28, 36] }]],
  )
  box(
    doc,
    {
      clutch: [50.5, -5.4, 17.2],
      nose: 15,
      speedRpm: 7200,
      original: [14.7, 0],
      gears: [3.48, 2.01, 1.38, 1, 0.85],
      torqueNm: 205,
      size: [158, 560, 305],
      pattern: PATTERNS.wickSecond,
    },
    [
      [
        'sunagi-5k',
        'Sunagi 5-speed, Wick face',
        {
          mount: [540, 120],
          output: [740, 25, 33],
          lever: 690,
          bell: ['right', true],
          perTurn: 0.31,
        },
      ],
      [
        'sunagi-5t',
        'Sunagi 5-speed, Trivet face',
        { pattern: PATTERNS.marlund, original: [6.4, 0] },
      ],
    ],
  )
  box(
    doc,
    {
      clutch: [0, 0, 0],
      nose: 17,
      speedRpm: 6000,
      pattern: PATTERNS.quill,
      original: [16.7, 0],
      gears: [2.8, 1.54, 1, 0.72],
      torqueNm: 430,
      size: [175, 630, 360],
      automatic: true,
    },
    [
      ['sunagi-4a', 'Sunagi 4-automatic', { mount: [590, 140], output: [810, 25, 33] }],
      ['sunagi-4a-late', 'Sunagi 4-automatic, late'],
    ],
  )
  const four = {
    clutch: [0, 0, 0],
    nose: 17,
    speedRpm: 5600,
    gears: [2.74, 1.55, 1, 0.7],
    torqueNm: 1500,
    size: [190, 690, 390],
    automatic: true,
  } as const
  box(doc, { ...four, pattern: PATTERNS.maul, original: [12, 0] }, [
    [
      'dovrek-4a-maul',
      'Dovrek 4-automatic, Maul face',
      {
        mount: [640, 150],
        bell: ['left', true],
        caseEnd: [CASE_PATTERNS.dovrek, 30, 38, 712, 770],
        takeOff: { family: 'six bolt', side: 'left', moduleMm: 3.5, turns: 'with the engine' },
      },
    ],
    [
      'dovrek-4a-long',
      'Dovrek 4-automatic, Maul face, rear drive',
      { mount: [640, 150], output: [900, 30, 38], bell: ['right', false] },
    ],
  ])
  box(
    doc,
    {
      clutch: [58, -7, 20],
      nose: 17,
      speedRpm: 4800,
      pattern: PATTERNS.adze,
      original: [15, 0],
      gears: [5.1, 2.9, 1.7, 1, 0.8],
      torqueNm: 460,
      size: [195, 640, 380],
    },
    [
      [
        'dovrek-5t',
        'Dovrek truck 5-speed',
        {
          mount: [600, 150],
          bell: ['left', false],
          lever: 560,
          caseEnd: [CASE_PATTERNS.dovrek, 30, 38, 660, 716],
        },
      ],
      ['dovrek-5t-late', 'Dovrek truck 5-speed, late', { torqueNm: 500, speedRpm: 5000 }],
    ],
  )
  box(
    doc,
    {
      clutch: [49, -5, 16.5],
      nose: 14,
      speedRpm: 7400,
      pattern: PATTERNS.tarn,
      original: [9.8, 0],
      gears: [3.4, 1.95, 1.36, 1.03, 0.81],
      torqueNm: 190,
      size: [150, 370, 330],
    },
    [
      [
        'obrelle-5x',
        'Obrelle 5-speed transaxle',
        { transaxle: [4.06, 96, 148, 'tripod 26'], bell: ['right', true] },
      ],
      [
        'obrelle-5x-short',
        'Obrelle 5-speed transaxle, short final drive',
        { transaxle: [4.41, 96, 148, 'tripod 26'], gears: [3.2, 2.05, 1.48, 1.16, 0.93] },
      ],
    ],
  )
  box(
    doc,
    {
      clutch: [49, -5, 16.5],
      nose: 14,
      speedRpm: 7600,
      pattern: PATTERNS.tarn,
      original: [10.6, 0],
      gears: [3.5, 2.1, 1.5, 1.2, 1, 0.83],
      torqueNm: 240,
      size: [152, 390, 335],
    },
    [['obrelle-6x', 'Obrelle 6-speed transaxle', { transaxle: [3.94, 101, 152, 'tripod 29'] }]],
  )
}

/** Three transfer cases in four versions: two of them differ only in the side of their front output. */
export function transferCases(doc: DocumentWriter): void {
  const make = (
    id: string,
    name: string,
    pattern: Pattern,
    side: 'left' | 'right',
    rest: { readonly ownerId?: string; readonly isMeasured?: boolean } = {},
  ): void => {
    doc.part(id, 'transfer-case', name, { ownerId: rest.ownerId })
    doc.port(id, 'face', 'front', { ...drilled(pattern), mayTurn: true }, { looks: 'forward' })
    doc.port(id, 'transfer-input', 'main', { splines: 30, majorMm: 38.2, depthMm: 74, mostMm: 82 })
    doc.port(id, 'transfer', 'main', {
      frontSide: side,
      frontTurns: 'as the rear',
      frontRatio: 1,
      low: 2.6,
      shift: 'lever',
    })
    doc.port(id, 'ratings', 'torque', {
      torqueNm: 5400,
      reference: 'transfer output',
      basis: 'peak',
    })
    if (rest.isMeasured === false) return
    doc.port(
      id,
      'output',
      'main',
      { type: 'flange', circleMm: 80, alongMm: 320, belowMm: 18, rightMm: 0 },
      { grade: 'measured', by: 'Bram', method: 'rule' },
    )
    doc.port(id, 'speed-drive', 'main', { type: 'cable', perTurn: 0.26 })
  }
  make(
    'dovrek-case-left',
    'Dovrek transfer case, front output left',
    CASE_PATTERNS.dovrek,
    'left',
    { ownerId: 'hawser' },
  )
  make(
    'dovrek-case-right',
    'Dovrek transfer case, front output right',
    CASE_PATTERNS.dovrek,
    'right',
  )
  make('kessarn-case', 'Kessarn transfer case', CASE_PATTERNS.kessarn, 'right', {
    isMeasured: false,
  })
  make('marlund-divider', 'Marlund divider', CASE_PATTERNS.kessarn, 'left', { isMeasured: false })
}
