import type { ChartRecord, ShelfRecord, TankRecord } from '../exchange/schemas'

/** Tanks and drums as they are usually bought; what covers the films is a rounded literature value, to be measured with water once. */
export const starterTanks: TankRecord[] = [
  { name: 'Hand tank, one reel of 135', kind: 'hand', format: '135', covers: '300 ml' },
  { name: 'Hand tank, two reels of 135', kind: 'hand', format: '135', covers: '300 ml; 600 ml' },
  { name: 'Hand tank, five reels of 135', kind: 'hand', format: '135', covers: '300 ml; 600 ml; 1000 ml; 1250 ml; 1500 ml' },
  { name: 'Hand tank, one reel of 120', kind: 'hand', format: '120', covers: '500 ml' },
  { name: 'Hand tank, two reels of 120', kind: 'hand', format: '120', covers: '500 ml; 1000 ml' },
  { name: 'Rotary drum, two reels of 135', kind: 'rotary', format: '135', covers: '140 ml; 140 ml' },
  { name: 'Rotary drum, five reels of 135', kind: 'rotary', format: '135', covers: '140 ml; 140 ml; 240 ml; 240 ml; 330 ml' },
]

/** Nobody has measured how warm it is on any of them. */
export const starterShelves: ShelfRecord[] = [
  { name: 'Film bench' },
  { name: 'Print bench' },
  { name: 'Dark cupboard, strong solutions' },
  { name: 'Toners and bleaches, apart' },
]

const borax = 'Metol–hydroquinone borax developer'
const sulfite = 'Metol–sulfite developer'
const byClass = (film: string, ei: number, formula: string, times: Record<string, string>): ChartRecord[] =>
  Object.entries(times).map(([dilution, time]) => ({ film, formula, dilution, ei, temperature: '20 °C', time }))

/** Times by film speed class: somewhere to begin, for a test roll of the film itself. */
export const starterChart: ChartRecord[] = [
  ...byClass('Any film of ISO 25 to 50', 50, borax, { stock: '6:00', '1+1': '8:00', '1+3': '14:00' }),
  ...byClass('Any film of ISO 100 to 125', 100, borax, { stock: '7:00', '1+1': '10:00', '1+3': '16:00' }),
  ...byClass('Any film of ISO 400', 400, borax, { stock: '8:00', '1+1': '11:00', '1+3': '20:00' }),
  ...byClass('Any tabular-grain film of ISO 100', 100, borax, { stock: '7:00', '1+1': '10:30', '1+3': '17:00' }),
  ...byClass('Any tabular-grain film of ISO 400', 400, borax, { stock: '8:00', '1+1': '12:00', '1+3': '21:00' }),
  ...byClass('Any film of ISO 100 to 125', 100, sulfite, { stock: '7:30', '1+1': '10:00', '1+3': '14:00' }),
  ...byClass('Any film of ISO 400', 400, sulfite, { stock: '9:00', '1+1': '12:00', '1+3': '18:00' }),
  ...[100, 200, 400].flatMap((ei) => byClass('Any colour negative film', ei, 'p-Aminophenol concentrate', { '1+50': '15:00' })),
]
