import { OptimisticLockError, type Attributes, type Model, type ModelStatic } from 'sequelize'
import { stale } from '../house/refusal'

async function orStale(work: Promise<unknown>, current: () => unknown): Promise<void> {
  try {
    await work
  } catch (error) {
    throw error instanceof OptimisticLockError ? stale(await current()) : error
  }
}

/**
 * Writes what was set of a row, which becomes the next version even where nothing differs. `seen` is the version its writer had before them: where the row is
 * another by now, or becomes one meanwhile, the change is refused with what it is (`current`).
 */
export async function saveSeen(row: Model & { version: number }, seen: number, current: () => unknown): Promise<void> {
  if (row.version !== seen) throw stale(await current())
  row.changed('version' as never, true)
  await orStale(row.save(), current)
}

/** A row as its writer saw it, without looking: for changes that need nothing of what it was. */
export const asSeen = <M extends Model & { version: number }>(
  model: ModelStatic<M>,
  key: Partial<Attributes<M>> & { version: number },
): M => model.build(key as never, { isNewRecord: false, raw: true })

/** Deletes a row as its writer saw it. */
export async function destroySeen(row: Model & { version: number }, seen: number, current: () => unknown): Promise<void> {
  if (row.version !== seen) throw stale(await current())
  await orStale(row.destroy(), current)
}

/** Writes what was set of a locked row: its next version. */
export async function saveNext(row: Model & { version: number }): Promise<void> {
  row.changed('version' as never, true)
  await row.save()
}
