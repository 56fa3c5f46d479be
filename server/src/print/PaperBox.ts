import type { PaperBoxBody } from '@selvrin/core'
import { Model, type CreationOptional, type InferAttributes, type InferCreationAttributes, type ModelStatic } from 'sequelize'
import { instant, json, key, of, optional, version } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    PaperBox: ModelStatic<PaperBox>
  }
}

/** A box of paper. */
export class PaperBox extends Model<InferAttributes<PaperBox>, InferCreationAttributes<PaperBox>> {
  declare id: string
  declare version: CreationOptional<number>
  declare paperId: string
  declare body: PaperBoxBody
  declare madeBy: string | null
  declare madeAt: number
  declare openedAt: CreationOptional<number | null>
}

export const paperBoxTable = table(PaperBox, 'paper_box', {
  id: key(),
  version: version(),
  paperId: of('paper'),
  body: json(),
  madeBy: optional(of('person')),
  madeAt: instant(),
  openedAt: optional(instant()),
})
