import { usualSink, type SinkFacts } from '@selvrin/core'
import type { Database } from '../table/database'

/** What the darkroom says of its sink; what is usual until somebody has. */
export async function sinkOf(db: Database): Promise<SinkFacts & { version: number }> {
  const row = await db.Sink.findOne({ attributes: ['version', 'body'], raw: true })
  return row ? { ...usualSink, ...row.body, version: row.version } : { ...usualSink, version: 1 }
}
