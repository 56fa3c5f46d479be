import type { Model } from 'sequelize'
import { OptimisticLockError, type Attributes, type ModelAttributes, type ModelStatic, type Sequelize } from 'sequelize'

/** What a subject says of its table; bound to a connection by `modelsOf`. */
export interface Table<M extends Model> {
  name: string
  bind: (sequelize: Sequelize) => ModelStatic<M>
}

/**
 * A typed model of one table. A row with a version is locked optimistically: a stale `save()` and a stale `destroy()` throw OptimisticLockError. What Sequelize lets
 * slip through there, changing or deleting many rows unseen, is refused on such tables.
 */
export function table<M extends Model>(model: ModelStatic<M>, name: string, columns: ModelAttributes<M, Attributes<M>>): Table<M> {
  const versioned = 'version' in columns
  return {
    name,
    bind: (sequelize) => {
      const Bound = class extends (model as unknown as ModelStatic<Model>) {}
      Bound.init(columns as never, {
        sequelize,
        modelName: name,
        tableName: name,
        underscored: true,
        timestamps: false,
        ...(versioned ? { version: 'version' } : {}),
      })
      if (versioned) guard(Bound)
      return Bound as unknown as ModelStatic<M>
    },
  }
}

function guard(Bound: ModelStatic<Model>): void {
  const unseen = (): never => {
    throw new Error(`Rows of ${Bound.tableName} carry a version: they are changed and deleted one by one, as they were seen.`)
  }
  const destroyMany = Bound.destroy.bind(Bound)
  Bound.update = unseen
  Bound.destroy = unseen
  Bound.prototype.destroy = async function (this: Model & { version: number }, options = {}) {
    const where = { [Bound.primaryKeyAttribute]: this.get(Bound.primaryKeyAttribute), version: this.version }
    if ((await destroyMany({ ...options, where })) === 0)
      throw new OptimisticLockError({ modelName: Bound.name, values: this.get() as Record<string, unknown>, where: where as never })
  }
}
