/** Jars of the Tidewheel Darkroom: chemical, grams received, place, price a kg (made up), and what else is known. */
export const demoJars: [
  chemical: string,
  grams: number,
  place: string,
  pricePerKg: number | null,
  more?: { assay?: number; reorderG?: number; spoonG?: number },
][] = [
  ['metol', 250, 'upper cabinet', 95, { reorderG: 100 }],
  ['hydroquinone', 500, 'upper cabinet', 48, { reorderG: 150 }],
  ['phenidone', 25, 'upper cabinet', 420],
  ['sodium-ascorbate', 500, 'upper cabinet', 38],
  ['glycin', 50, 'upper cabinet', 260],
  ['pyrogallol', 25, 'locked drawer', 310],
  ['sodium-sulfite', 2500, 'powder bin', 9.5, { reorderG: 1500 }],
  ['sodium-sulfite', 1900, 'powder bin', 9.5],
  ['sodium-metabisulfite', 500, 'powder bin', 11, { reorderG: 100 }],
  ['borax-decahydrate', 1000, 'powder bin', 7.5, { reorderG: 250 }],
  ['boric-acid', 250, 'powder bin', 14],
  ['sodium-metaborate-tetrahydrate', 500, 'powder bin', 19],
  ['sodium-carbonate-monohydrate', 2000, 'powder bin', 6.8, { reorderG: 500, spoonG: 5.4 }],
  ['sodium-carbonate', 1000, 'powder bin', 7.2],
  ['sodium-bicarbonate', 500, 'powder bin', 5],
  ['sodium-hydroxide', 60, 'caustics, low shelf', 12, { reorderG: 100, assay: 0.98 }],
  ['potassium-bromide', 250, 'upper cabinet', 32],
  ['benzotriazole', 10, 'upper cabinet', 160],
  ['sodium-thiosulfate-pentahydrate', 5000, 'powder bin', 6.4],
  ['ammonium-thiosulfate-60', 6650, 'liquids, low shelf', 5.8, { reorderG: 1500 }],
  ['acetic-acid-28', 2072, 'acids, low shelf', 7],
  ['citric-acid', 1000, 'acids, low shelf', 9, { reorderG: 200 }],
  ['potassium-alum', 500, 'powder bin', 13],
  ['potassium-ferricyanide', 250, 'locked drawer', 58],
  ['thiourea', 100, 'locked drawer', 44],
  ['dtpa-pentasodium', 260, 'liquids, low shelf', 26],
  ['silver-nitrate', 25, 'locked drawer', 980],
  ['propylene-glycol', 518, 'liquids, low shelf', null],
  ['powder-pack', 190, 'upper cabinet', 42],
  ['potassium-permanganate', 100, 'oxidisers, apart', 36],
  ['sodium-bisulfate', 500, 'acids, low shelf', 12],
  ['ferric-ammonium-citrate-green', 250, 'coating bench', 64],
  ['tartaric-acid', 100, 'coating bench', 28],
  ['ferric-oxalate', 50, 'coating bench', 690],
  ['potassium-chlorate', 25, 'oxidisers, apart', 85],
  ['palladium-chloride', 5, 'locked drawer', 39000],
  ['sodium-chloride', 250, 'coating bench', 4],
]

/** Tanks and drums, each with the ml that cover 1, 2, … films. */
export const demoVessels: { name: string; kind: 'hand' | 'rotary'; format: '135' | '120'; coversMl: number[] }[] = [
  { name: 'Tank 1', kind: 'hand', format: '135', coversMl: [300] },
  { name: 'Tank 2', kind: 'hand', format: '135', coversMl: [300, 600] },
  { name: 'Tank 3, roll film', kind: 'hand', format: '120', coversMl: [500] },
  { name: 'Tank 4, tall', kind: 'hand', format: '135', coversMl: [300, 600, 900, 1150, 1450, 1750, 2000, 2300] },
  { name: 'Tank 5, roll film double', kind: 'hand', format: '120', coversMl: [500, 1000] },
  { name: 'Drum', kind: 'rotary', format: '135', coversMl: [140, 170, 220, 270, 330] },
]

type ChartSource = [film: string, formula: string, parts: number[], ei: number, times: [celsius: number, minutes: number][], source: string]

/** The wall chart, written out. Films and times are made up; the times are of the usual size for each kind of developer. */
export const demoChart: ChartSource[] = [
  [
    'Millrace 100',
    'softBorax',
    [1],
    100,
    [
      [20, 7],
      [24, 5.25],
    ],
    'wall chart',
  ],
  [
    'Millrace 100',
    'softBorax',
    [1, 1],
    100,
    [
      [20, 9.5],
      [24, 7],
    ],
    'wall chart',
  ],
  [
    'Millrace 400',
    'softBorax',
    [1],
    400,
    [
      [20, 8],
      [24, 6],
    ],
    'wall chart',
  ],
  [
    'Millrace 400',
    'softBorax',
    [1, 1],
    400,
    [
      [20, 10.5],
      [24, 7.75],
    ],
    'wall chart',
  ],
  ['Millrace 400', 'softBorax', [1, 1], 800, [[20, 13]], 'Odo, two test films'],
  [
    'Saltpan 50',
    'softBorax',
    [1, 1],
    50,
    [
      [20, 8],
      [24, 6],
    ],
    'wall chart',
  ],
  [
    'Ebbtide 125',
    'softBorax',
    [1, 1],
    125,
    [
      [20, 11],
      [24, 8],
    ],
    'wall chart',
  ],
  [
    'Lantern 3200',
    'softBorax',
    [1],
    1600,
    [
      [20, 11],
      [24, 8.25],
    ],
    'wall chart',
  ],
  // warm, or it would stand in it for a quarter of an hour
  ['Lantern 3200', 'softBorax', [1], 3200, [[24, 10.5]], 'wall chart'],
  ['Millrace 400', 'softBorax', [1, 3], 400, [[20, 19]], 'Maren'],
  [
    'Millrace 100',
    'ascorbate',
    [1],
    100,
    [
      [20, 6.5],
      [24, 5],
    ],
    'wall chart',
  ],
  [
    'Millrace 400',
    'ascorbate',
    [1],
    400,
    [
      [20, 7.25],
      [24, 5.5],
    ],
    'wall chart',
  ],
  [
    'Millrace 400',
    'ascorbate',
    [1, 1],
    400,
    [
      [20, 9.75],
      [24, 7.5],
    ],
    'wall chart',
  ],
  ['Ebbtide 125', 'ascorbate', [1, 1], 125, [[20, 10]], 'Ilse'],
  [
    'Lantern 3200',
    'ascorbate',
    [1],
    3200,
    [
      [20, 12],
      [24, 9],
    ],
    'wall chart',
  ],
  ['Millrace 100', 'aminophenol', [1, 50], 100, [[20, 12]], 'wall chart'],
  ['Millrace 400', 'aminophenol', [1, 25], 400, [[20, 8]], 'wall chart'],
  ['Millrace 400', 'aminophenol', [1, 50], 400, [[20, 13]], 'wall chart'],
  ['Saltpan 50', 'aminophenol', [1, 50], 50, [[20, 10.5]], 'wall chart'],
  ['Ebbtide 125', 'aminophenol', [1, 50], 125, [[20, 14]], 'wall chart'],
  [
    'Saltpan 50',
    'plainMetol',
    [1, 1],
    50,
    [
      [20, 9],
      [24, 6.75],
    ],
    'Maren',
  ],
  [
    'Millrace 100',
    'plainMetol',
    [1, 1],
    100,
    [
      [20, 10.5],
      [24, 8],
    ],
    'Maren',
  ],
]

/** What the simulated devices send: 'ST,+0012.34,g', US while it moves. */
export const demoPattern = '^(?:(?<stable>ST)|US),(?<value>[+-]?\\d+(?:\\.\\d+)?),(?<unit>g|C|pH)$'
const bathPattern =
  '^(?:(?<stable>ST)|US),(?<value>[+-]?\\d+(?:\\.\\d+)?),(?<unit>C),set(?<set>[+-]?\\d+(?:\\.\\d+)?),heat(?<heater>\\d+(?:\\.\\d+)?)$'
/** The tempering bath of the loft, simulated. */
export const demoBath = {
  ...{ name: 'Tempering bath', port: 4794, calibration: null },
  ...{ pattern: bathPattern, command: 'W {c}', water: { litres: 20, covered: false } },
} as const
/** The relay of the lamp of the enlarger by the window, simulated. */
export const demoLamp = {
  ...{ name: 'Lamp by the window', port: 4796, calibration: null, command: 'E {s}' },
  pattern: '^(?:(?<stable>ST)|US),(?<value>[+-]?\\d+(?:\\.\\d+)?),(?<unit>s),lit[+-]?\\d+(?:\\.\\d+)?$',
} as const
/** The bench devices, simulated: kind, name, usual port, calibration. */
export const demoDevices = [
  { kind: 'scale', name: 'Bench scale', port: 4791, calibration: null },
  { kind: 'thermometer', name: 'Glass probe', port: 4792, calibration: null },
  {
    kind: 'ph-meter',
    name: 'pH meter',
    port: 4793,
    calibration: {
      slope: 0.97,
      offset: 0.05,
      points: [
        { read: 6.91, buffer: 6.86 },
        { read: 9.16, buffer: 9.18 },
      ],
    },
  },
] as const
