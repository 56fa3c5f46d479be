import { Model, type InferAttributes, type InferCreationAttributes, type ModelStatic, type CreationOptional } from 'sequelize'
import { big, keyed, optional, text, usually, whole } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    SignInAttempt: ModelStatic<SignInAttempt>
  }
}

export class SignInAttempt extends Model<InferAttributes<SignInAttempt>, InferCreationAttributes<SignInAttempt>> {
  declare key: string
  declare points: CreationOptional<number>
  declare expire: CreationOptional<number | null>
}

export const signInAttemptTable = table(SignInAttempt, 'sign_in_attempt', {
  key: keyed(text()),
  points: usually(whole(), 0),
  expire: optional(big()),
})
