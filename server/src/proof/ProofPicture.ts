import type { pictureTypes, pictureMarks } from '@selvrin/core/contract'
import type { z } from 'zod'
import { Model, type InferAttributes, type InferCreationAttributes, type ModelStatic } from 'sequelize'
import { bytes, json, keyed, of, text } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    ProofPicture: ModelStatic<ProofPicture>
  }
}

export class ProofPicture extends Model<InferAttributes<ProofPicture>, InferCreationAttributes<ProofPicture>> {
  declare proofId: string
  declare name: string
  declare type: (typeof pictureTypes)[number]
  declare bytes: Buffer
  declare marks: z.infer<typeof pictureMarks>
}

export const proofPictureTable = table(ProofPicture, 'proof_picture', {
  proofId: keyed(of('proof')),
  name: text(),
  type: text(),
  bytes: bytes(),
  marks: json(),
})
