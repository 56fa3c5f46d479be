import type { Migration } from './migration'

/** Bottles are found by their batch: a shelf asks of each which of its batch comes first. */
export const batches: Migration = {
  name: '0008-batches',
  up: 'create index bottle_batch on bottle (batch_id) where batch_id is not null;',
  down: 'drop index bottle_batch;',
}
