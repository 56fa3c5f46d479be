import { DomainError, readFile, understander, type Catalogue, type ExchangeKind, type Present, type Understood } from '@selvrin/core'
import { expose } from 'comlink'
import { v7 as uuid } from 'uuid'

const portion = 500

/** Reads a file against what is there, and says how far it is. */
const reading = {
  understand: (
    kind: ExchangeKind,
    text: string,
    present: Present,
    catalogue: Catalogue,
    progress: (done: number, of: number) => void,
  ): { lines: Understood[] } | { problem: string } => {
    try {
      const records = readFile(kind, text)
      const understand = understander(kind, present, uuid, catalogue)
      const lines: Understood[] = []
      for (const [i, record] of records.entries()) {
        lines.push(understand(record))
        if (i % portion === 0) progress(i, records.length)
      }
      return { lines }
    } catch (error) {
      if (error instanceof DomainError) return { problem: error.message }
      throw error
    }
  },
}
export type ExchangeReading = typeof reading
expose(reading)
