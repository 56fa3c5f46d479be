import { v7 as uuid } from 'uuid'

const key = 'selvrin.device'

/** A name for this browser, kept between visits. */
export const deviceName = (): string => {
  try {
    const kept = localStorage.getItem(key) ?? uuid()
    localStorage.setItem(key, kept)
    return kept
  } catch {
    return 'this page'
  }
}
