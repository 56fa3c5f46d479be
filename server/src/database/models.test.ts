import type { Model, ModelStatic } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { changeAll } from '../table/all'
import { sqlOn, testHouse, type TestHouse } from '../test/house'
import { modelsOf } from './models'

let house: TestHouse
beforeAll(async () => {
  house = await testHouse()
}, 30_000)
afterAll(() => house.close())

interface Column {
  table: string
  name: string
  type: string
  optional: boolean
  identity: boolean
  otherwise: string | null
  refers: string | null
}

/** How the migrated database describes itself. */
const schema = () =>
  sqlOn(house.db)<Column>(`
    select c.table_name as "table", c.column_name as name, c.udt_name as type, c.is_nullable = 'YES' as optional, c.is_identity = 'YES' as identity,
      c.column_default as otherwise,
      (select k.confrelid::regclass::text || '.' || f.attname from pg_constraint k
         join pg_attribute a on a.attrelid = k.conrelid and a.attnum = k.conkey[1] join pg_attribute f on f.attrelid = k.confrelid and f.attnum = k.confkey[1]
       where k.contype = 'f' and k.conrelid = format('%I', c.table_name)::regclass and a.attname = c.column_name) as refers
    from information_schema.columns c where c.table_schema = 'public' and c.table_name not in ('migration', 'standing_proof') order by 1, 2`)

const types: Record<string, string> = {
  UUID: 'uuid',
  TEXT: 'text',
  INTEGER: 'int4',
  BIGINT: 'int8',
  'DECIMAL(14,4)': 'numeric',
  'DECIMAL(14,4)[]': '_numeric',
  'TEXT[]': '_text',
  'UUID[]': '_uuid',
  BOOLEAN: 'bool',
  TIMESTAMPTZ: 'timestamptz',
  JSONB: 'jsonb',
  BYTEA: 'bytea',
}

test('every model is its table as the migrations made it: columns, types, what may be missing, what it refers to', async () => {
  const described = Object.values(modelsOf(house.db.sequelize) as unknown as Record<string, ModelStatic<Model>>).flatMap((model) =>
    Object.values(model.getAttributes()).map((one) => ({
      table: model.tableName,
      name: one.field,
      type: types[(one.type as unknown as { toSql: () => string }).toSql()],
      optional: one.allowNull,
      identity: one.autoIncrement === true,
      written: one.defaultValue !== undefined,
      refers:
        typeof one.references === 'object'
          ? `${(one.references as { model: string }).model}.${(one.references as { key: string }).key}`
          : null,
    })),
  )
  const migrated = (await schema()).map(({ otherwise, ...column }) => ({
    ...column,
    written: otherwise !== null,
    refers: column.refers?.replaceAll('"', '') ?? null,
  }))
  const inOrder = <T extends { table: string; name?: string }>(rows: T[]) =>
    Object.fromEntries(
      rows.map(({ table, name, ...rest }) => [`${table}.${name}`, rest]).sort(([a], [b]) => ((a as string) < (b as string) ? -1 : 1)),
    )
  expect(inOrder(described)).toEqual(inOrder(migrated))
})

test('a stale save and a stale delete of a row with a version are refused, and nothing of it is changed unseen', async () => {
  const { Shelf } = house.db
  const id = uuid()
  await Shelf.create({ id, name: 'Over the door', celsius: null })
  const [first, second] = [await Shelf.findByPk(id, { rejectOnEmpty: true }), await Shelf.findByPk(id, { rejectOnEmpty: true })]
  await first.update({ name: 'By the door' })
  await expect(second.update({ name: 'Under the door' })).rejects.toThrow(/stale model/)
  await expect(second.destroy()).rejects.toThrow(/stale model/)
  await expect((async () => Shelf.update({ name: 'Anything' }, { where: { id } }))()).rejects.toThrow('one by one')
  await expect((async () => Shelf.destroy({ where: { id } }))()).rejects.toThrow('one by one')
  expect((await Shelf.findByPk(id))?.get()).toMatchObject({ name: 'By the door', version: 2 })
  expect(await changeAll(Shelf, { celsius: 18 }, { id })).toBe(1)
  expect((await Shelf.findByPk(id))?.get()).toMatchObject({ celsius: 18, version: 3 })
  await (await Shelf.findByPk(id, { rejectOnEmpty: true })).destroy()
  expect(await Shelf.findByPk(id)).toBeNull()
})
