import { Model, type CreationOptional, type InferAttributes, type InferCreationAttributes, type ModelStatic } from 'sequelize'
import { flag, keyed, of, text, usually, version } from '../table/columns'
import { table } from '../table/table'

declare module '../table/database' {
  interface Tables {
    MailWish: ModelStatic<MailWish>
  }
}

/** Where somebody is written to, and between which times of day not; none until they have said so. */
export class MailWish extends Model<InferAttributes<MailWish>, InferCreationAttributes<MailWish>> {
  declare personId: string
  declare version: CreationOptional<number>
  declare address: CreationOptional<string>
  declare wanted: CreationOptional<boolean>
  declare quietFrom: CreationOptional<string>
  declare quietUntil: CreationOptional<string>
}

export const mailWishTable = table(MailWish, 'mail_wish', {
  personId: keyed(of('person')),
  version: version(),
  address: usually(text(), ''),
  wanted: usually(flag(), true),
  quietFrom: usually(text(), '22:00'),
  quietUntil: usually(text(), '08:00'),
})
