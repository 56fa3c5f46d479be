import type { Database } from '../table/database'

/** The IANA zone in which this darkroom's days begin. */
export const zoneOf = async (db: Database): Promise<string> => (await db.Darkroom.findOne({ attributes: ['zone'] }))?.zone ?? 'UTC'
