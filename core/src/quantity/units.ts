export type QuantityKind = 'mass' | 'volume' | 'temperature' | 'time'

/** Size of each unit in g, ml and s. Avoirdupois and US customary figures by definition, rounded to six figures. */
export const unitSizes: Record<Exclude<QuantityKind, 'temperature'>, Record<string, number>> = {
  mass: {
    mg: 0.001,
    g: 1,
    gram: 1,
    grams: 1,
    kg: 1000,
    oz: 28.3495,
    ounce: 28.3495,
    ounces: 28.3495,
    lb: 453.592,
    lbs: 453.592,
    grain: 0.0647989,
    grains: 0.0647989,
  },
  volume: {
    ml: 1,
    cc: 1,
    cl: 10,
    l: 1000,
    litre: 1000,
    litres: 1000,
    liter: 1000,
    liters: 1000,
    'fl oz': 29.5735,
    'imp fl oz': 28.4131,
    'fluid ounce': 29.5735,
    'fluid ounces': 29.5735,
    cup: 236.588,
    cups: 236.588,
    pint: 473.176,
    pints: 473.176,
    quart: 946.353,
    quarts: 946.353,
    qt: 946.353,
    gal: 3785.41,
    gallon: 3785.41,
    gallons: 3785.41,
  },
  time: { s: 1, sec: 1, secs: 1, second: 1, seconds: 1, min: 60, mins: 60, minute: 60, minutes: 60, h: 3600, hour: 3600, hours: 3600 },
}

const avoirdupois = ['oz', 'ounce', 'ounces', 'lb', 'lbs', 'grain', 'grains']
const metricVolumes = ['ml', 'cc', 'cl', 'l', 'litre', 'litres', 'liter', 'liters']

/** The system a unit belongs to; amounts are written together in one system only. */
export function systemOf(name: string, kind: Exclude<QuantityKind, 'temperature'>): string {
  if (kind === 'time') return 'time'
  if (kind === 'mass') return avoirdupois.includes(name) ? 'avoirdupois' : 'metric mass'
  if (name.startsWith('imp ')) return 'imperial'
  return metricVolumes.includes(name) ? 'metric volume' : 'US volume'
}

/** °C from a reading in each scale. */
export const temperatureScales: Record<string, (reading: number) => number> = {
  c: (reading) => reading,
  f: (reading) => ((reading - 32) * 5) / 9,
  k: (reading) => reading - 273.15,
}

/** Units that name more than one thing, with what to write instead. */
export const ambiguousUnits: Record<QuantityKind, Record<string, string>> = {
  mass: { gr: 'g for grams or grain for grains' },
  volume: { oz: 'fl oz (US) or imp fl oz', ounce: 'fl oz (US) or imp fl oz', ounces: 'fl oz (US) or imp fl oz' },
  temperature: {},
  time: {},
}

export const unitExamples: Record<QuantityKind, string> = {
  mass: '12.5 g, 1 oz or 30 grains',
  volume: '600 ml, 2.5 L or 16 fl oz',
  temperature: '20 °C or 68 °F',
  time: '9:30, 9.5 min or 570 s',
}
