import { DataTypes, type ModelAttributeColumnOptions } from 'sequelize'

/** A time: `timestamptz` in the database, ms since 1970 here. */
const instantType = Object.assign(new (DataTypes.ABSTRACT as unknown as new () => DataTypes.AbstractDataType)(), {
  key: 'INSTANT',
  toSql: () => 'TIMESTAMPTZ',
  stringify: (ms: number) => new Date(ms).toISOString(),
})

type Column = ModelAttributeColumnOptions & { type: DataTypes.DataType }
const column = (type: DataTypes.DataType): Column => ({ type: type as never, allowNull: false })

/** the row's own name, made by whoever writes it */
export const key = (): Column => ({ ...column(DataTypes.UUID), primaryKey: true })
export const uuidOf = (): Column => column(DataTypes.UUID)
export const text = (): Column => column(DataTypes.TEXT)
export const big = (): Column => column(DataTypes.BIGINT)
export const whole = (): Column => column(DataTypes.INTEGER)
export const amount = (): Column => column(DataTypes.DECIMAL(14, 4))
export const amounts = (): Column => column(DataTypes.ARRAY(DataTypes.DECIMAL(14, 4)))
export const texts = (): Column => column(DataTypes.ARRAY(DataTypes.TEXT))
export const uuids = (): Column => column(DataTypes.ARRAY(DataTypes.UUID))
export const flag = (): Column => column(DataTypes.BOOLEAN)
export const instant = (): Column => column(instantType)
export const json = (): Column => column(DataTypes.JSONB)
export const bytes = (): Column => column(DataTypes.BLOB)
/** numbered by the database in the order of writing */
export const counted = (type: 'int' | 'bigint' = 'int'): Column => ({
  ...column(type === 'int' ? DataTypes.INTEGER : DataTypes.BIGINT),
  autoIncrement: true,
})
/** of every row that changes: raised with each change, and named by whoever asks for one */
export const version = (): Column => ({ ...whole(), defaultValue: 1 })

/** another table's row; by its `id`, unless its key has another name and type */
export const of = (table: string, field = 'id', type: Column = uuidOf()): Column => ({ ...type, references: { model: table, key: field } })
export const optional = (one: Column): Column => ({ ...one, allowNull: true })
/** what the database writes where nothing is said */
export const usually = (one: Column, value: unknown): Column => ({ ...one, defaultValue: value })
export const keyed = (one: Column): Column => ({ ...one, primaryKey: true })
