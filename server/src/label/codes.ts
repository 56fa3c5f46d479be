import { newCode } from '../credential/password'
import type { Database } from '../table/database'
import { takeCodes } from './queries'

/** Codes for printed labels, unique among bottles and jars. */
export async function newLabelCodes(db: Database, count: number): Promise<string[]> {
  const codes: string[] = []
  while (codes.length < count)
    codes.push(
      ...(await takeCodes(
        db,
        Array.from({ length: count - codes.length }, () => newCode(6)),
      )),
    )
  return codes
}

/** A code for one printed label. */
export const newLabelCode = async (db: Database): Promise<string> => (await newLabelCodes(db, 1))[0] ?? ''
