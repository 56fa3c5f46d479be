import { literal, Model, type Attributes, type ModelStatic, type WhereOptions } from 'sequelize'

type Versioned = Model & { version: number }

/** Changes every row that fits, each to its next version; for what follows from something else, where nobody has named a version. Answers how many. */
export async function changeAll<M extends Versioned>(
  model: ModelStatic<M>,
  values: Partial<Attributes<M>>,
  where: WhereOptions<Attributes<M>>,
): Promise<number> {
  const change = Model.update as unknown as (this: unknown, values: object, options: object) => Promise<[number]>
  const [count] = await change.call(model, { ...values, version: literal('version + 1') }, { where, validate: false })
  return count
}

/** Deletes every row that fits; where nobody has named a version. */
export const destroyAll = <M extends Versioned>(model: ModelStatic<M>, where: WhereOptions<Attributes<M>>): Promise<number> =>
  (Model.destroy as unknown as (this: unknown, options: object) => Promise<number>).call(model, { where })
