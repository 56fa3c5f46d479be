import { kitCount, rollEquivalents, throughputRolls, type KitFilm, type Throughput } from '@selvrin/core'
import type { Bottle, KitBody } from '@selvrin/core/contract'

/** A mixed kit as `kit_of` of the schema tells it: with every film that went through each of its bottles, or what was written by hand. */
export interface Kitted {
  setId: string
  kitId: string
  number: number
  body: KitBody
  through: { bottleId: string; ei: number | null; format: string | null; throughput: Throughput[] | null }[]
}

const filmOf = ({ ei, format, throughput }: Kitted['through'][number]): KitFilm =>
  format === null ? { ei: null, rolls: throughputRolls(throughput ?? []) } : { ei, rolls: rollEquivalents({ format, count: 1 }) }

/** A mixed kit with its one count. */
export function kitMixed({ setId, kitId, number, body, through }: Kitted): NonNullable<Bottle['kit']> {
  const bottleIds = [...new Set(through.map((one) => one.bottleId))]
  const films = bottleIds.map((bottleId) => through.filter((one) => one.bottleId === bottleId).map(filmOf))
  return { setId, kitId, number, name: body.name, ...kitCount(body.capacity, films) }
}
