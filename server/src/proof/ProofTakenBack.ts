import { Model, type InferAttributes, type InferCreationAttributes, type ModelStatic, type CreationOptional } from 'sequelize'
import { instant, keyed, of, optional, text } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    ProofTakenBack: ModelStatic<ProofTakenBack>
  }
}

export class ProofTakenBack extends Model<InferAttributes<ProofTakenBack>, InferCreationAttributes<ProofTakenBack>> {
  declare proofId: string
  declare at: number
  declare byPerson: CreationOptional<string | null>
  declare reason: string
}

export const proofTakenBackTable = table(ProofTakenBack, 'proof_taken_back', {
  proofId: keyed(of('proof')),
  at: instant(),
  byPerson: optional(of('person')),
  reason: text(),
})
