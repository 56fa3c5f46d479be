import type { ColourMaterial } from '@selvrin/core'
import { Model, type InferAttributes, type InferCreationAttributes, type ModelStatic } from 'sequelize'
import { amount, instant, key, of, text, whole } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    CastRound: ModelStatic<CastRound>
  }
}

/** A round somebody did with the trainer of colour casts. */
export class CastRound extends Model<InferAttributes<CastRound>, InferCreationAttributes<CastRound>> {
  declare id: string
  declare personId: string
  declare at: number
  declare level: number
  declare material: ColourMaterial
  declare prints: number
  declare rest: number
  declare score: number
}

export const castRoundTable = table(CastRound, 'cast_round', {
  id: key(),
  personId: of('person'),
  at: instant(),
  level: whole(),
  material: text(),
  prints: whole(),
  rest: amount(),
  score: amount(),
})
