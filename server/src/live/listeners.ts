import type { Response } from 'express'
import type { House } from '../house/house'
import { whoIs, type Who } from '../http/who'

/** Bytes that may wait for a browser that does not read, as a tablet asleep: beyond them its stream ends, and it asks for everything when it wakes. */
const mostWaiting = 1_000_000

export const everyone = (): boolean => true

/** The browsers that listen here, each by its session. */
export function listenersOf(house: House) {
  const listeners = new Map<Response, Who>()
  const drop = (response: Response): void => {
    listeners.delete(response)
    response.end()
  }
  return {
    add: (response: Response, who: Who): void => void listeners.set(response, who),
    remove: (response: Response): void => void listeners.delete(response),
    some: (fits: (who: Who) => boolean): boolean => [...listeners.values()].some(fits),
    /** Writes to those who may hear it. */
    say: (text: string, may: (who: Who) => boolean): void => {
      const bytes = Buffer.from(text)
      for (const [response, who] of listeners) {
        if (!may(who)) continue
        if (response.writableLength > mostWaiting) drop(response)
        else response.write(bytes)
      }
    },
    /** A stream is its session's: where that is gone, or belongs to another role now, it ends. */
    look: async (which: (who: Who) => boolean): Promise<void> => {
      const now = house.clock.now()
      for (const [response, who] of [...listeners].filter(([, one]) => which(one))) {
        // an outage of the database ends nobody's session
        const still = await whoIs(house, who.tokenHash, now).catch(() => who)
        if (!still || still.role !== who.role) drop(response)
      }
    },
    end: (): void => {
      for (const response of [...listeners.keys()]) drop(response)
    },
  }
}
export type Listeners = ReturnType<typeof listenersOf>
