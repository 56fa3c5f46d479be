import { inWater } from './inWater'
import type { Chemical, Nature } from './chemical'
import { statementsAt } from './concentration'
import { statements } from './statements'

const source = 'rounded literature value'

/** Solubility in g per 100 ml of water: one figure is at 20 °C, several are [°C, g]. */
type Solubility = number | [number, number][] | null

interface Row {
  group?: string
  units?: number
  content?: number
  density?: number
  natures?: Nature[]
  solubility?: Solubility
  heat?: number
  usualAssay?: number
  keepsInGlycol?: boolean
  note?: string
}

/** A row of the catalogue with what other tables say of it. Masses g/mol, heats of solution kJ/mol (positive cools). What is not given is unknown. */
export const row = (id: string, name: string, molarMass: number | null, more: Row = {}): Chemical => {
  const { solubility = null } = more
  const codes = statementsAt(id, 100 * (more.content ?? 1)) ?? statements[id]
  return {
    id,
    name,
    molarMass,
    ...(more.group === undefined ? {} : { group: more.group, units: more.units ?? 1 }),
    ...(more.content === undefined ? {} : { content: more.content }),
    ...(more.density === undefined ? {} : { densityGPerMl: more.density }),
    natures: more.natures ?? [],
    solubility:
      solubility === null
        ? []
        : typeof solubility === 'number'
          ? [{ celsius: 20, gPer100Ml: solubility }]
          : solubility.map(([celsius, gPer100Ml]) => ({ celsius, gPer100Ml })),
    heatOfSolution: more.heat ?? null,
    ...(inWater[id] === undefined ? {} : { inWater: inWater[id] }),
    ...(more.usualAssay === undefined ? {} : { usualAssay: more.usualAssay }),
    ...(more.keepsInGlycol ? { keepsInGlycol: true } : {}),
    ...(codes === undefined ? {} : { statements: codes }),
    note: more.note ?? '',
    source,
  }
}
