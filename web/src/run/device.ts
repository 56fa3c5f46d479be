import { v7 as uuid } from 'uuid'

const key = 'selvrin.device'

/** a device that keeps nothing has a name as long as its page lives */
const passing = uuid()

/** A name for this browser, kept between visits. */
export const deviceName = (): string => {
  try {
    const kept = localStorage.getItem(key) ?? uuid()
    localStorage.setItem(key, kept)
    return kept
  } catch {
    return passing
  }
}
