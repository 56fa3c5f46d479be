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
    gal: 3785.41,
  },
  time: { s: 1, sec: 1, secs: 1, second: 1, seconds: 1, min: 60, mins: 60, minute: 60, minutes: 60, h: 3600, hour: 3600, hours: 3600 },
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
