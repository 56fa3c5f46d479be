import type { Catalogue } from '../chemical/chemical'
import type { ImportRow } from '../contract/import'
import type { ExchangeKind } from '../exchange/schemas'
import { exchangeFiles } from '../exchange/schemas'
import { understander, readFile } from '../exchange/understand'
import type { Present, Understood } from '../exchange/understood'
import { starterChemistry } from './chemistry'
import { houseDefault } from './houseDefault'
import { starterChart, starterShelves, starterTanks } from './places'

export type StarterKind = Extract<ExchangeKind, 'formulas' | 'shelves' | 'tanks' | 'chart'>
export interface StarterPart {
  key: string
  name: string
  why: string
  kind: StarterKind
  /** records of the open file format of its kind */
  rows: object[]
}

const chemistry = (key: keyof typeof starterChemistry, name: string, why: string): StarterPart => ({
  key,
  name,
  why,
  kind: 'formulas',
  rows: starterChemistry[key].map((record) => ({ ...record, note: [`${houseDefault}.`, record.note].filter(Boolean).join(' ') })),
})

/** The starter set, part by part, in the order it is written: the chart names formulas that come before it. */
export const starterParts: StarterPart[] = [
  chemistry('filmDevelopers', 'Film developers', 'metol–hydroquinone borax, metol–sulfite, phenidone–ascorbate, p-aminophenol concentrate'),
  chemistry('stopsAndFixers', 'Stop baths and fixers', 'citric and acetic, ammonium and plain thiosulfate, bought concentrate'),
  chemistry('washing', 'Washing', 'sulfite wash aid, wetting agent'),
  chemistry('prints', 'Prints', 'metol–hydroquinone print developer'),
  chemistry('monobathAndReversal', 'Monobath and black-and-white slides', 'first developer, permanganate bleach, clearing bath'),
  chemistry('toners', 'Toners', 'ferricyanide bleach, thiourea in two parts, sulfide, selenium, gold'),
  chemistry('colour', 'Colour from a kit', 'developer, bleach-fix, stabiliser'),
  chemistry('handCoated', 'Hand-coated paper', 'iron-blue, iron–silver, platinum and palladium: sensitizers, developers, clearing'),
  chemistry('others', 'Percent solutions', 'potassium bromide 10 %'),
  {
    key: 'tanks',
    name: 'Tanks and drums',
    why: 'one to five reels; measure with water what covers a reel',
    kind: 'tanks',
    rows: starterTanks,
  },
  {
    key: 'shelves',
    name: 'Shelves',
    why: 'film, print, strong solutions, toners apart; not measured',
    kind: 'shelves',
    rows: starterShelves,
  },
  {
    key: 'chart',
    name: 'Developing times by film speed',
    why: 'somewhere to begin, for a test roll of your film; needs the film developers',
    kind: 'chart',
    rows: starterChart.map((record) => ({ ...record, source: houseDefault })),
  },
]

/**
 * What would be here once those rows of the set were written.
 * @example
 * asWritten({ formulas: [], jars: [], chart: [] }, []).formulas.length // → 0
 */
export function asWritten(present: Present, rows: ImportRow[]): Present {
  const next = {
    ...present,
    formulas: [...present.formulas],
    chart: [...present.chart],
    shelves: [...(present.shelves ?? [])],
    tanks: [...(present.tanks ?? [])],
  }
  for (const row of rows) {
    const { id } = row
    if (row.kind === 'formulas') next.formulas.push({ id, version: 1, body: row.body })
    if (row.kind === 'chart') next.chart.push({ id, ...row.body, by: '', version: 1, tried: null })
    if (row.kind === 'shelves') next.shelves.push({ id, version: 1, ...row.body })
    if (row.kind === 'tanks') next.tanks.push({ id, version: 1, ...row.body })
  }
  return next
}

/**
 * What a part comes to in a house: what is there already under its name stays as it is. `wrong` lines say why they cannot be written.
 * @example
 * understandStarter(starterParts.find((part) => part.key === 'shelves'), { formulas: [], jars: [], chart: [] }, () => 'new', catalogue).every((line) => line.state === 'new') // → true
 */
export function understandStarter(part: StarterPart, present: Present, newId: () => string, catalogue: Catalogue): Understood[] {
  const file = JSON.stringify({ format: exchangeFiles[part.kind].shape.format.value, version: 1, rows: part.rows })
  const understand = understander(part.kind, present, newId, catalogue)
  return readFile(part.kind, file).map((record) => {
    const line = understand(record)
    return line.state === 'changed' ? { ...line, state: 'same', changes: [], row: null } : line
  })
}
