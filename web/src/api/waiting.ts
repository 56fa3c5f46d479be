const key = 'selvrin.endings'
let waits = false

/** Whether a run that was written down on this device waits for the server; said apart from the run itself, so that a page asks for it only then. */
export function endingsWait(now?: boolean): boolean {
  try {
    if (now === undefined) return waits || localStorage.getItem(key) !== null
    if (now) localStorage.setItem(key, '1')
    else localStorage.removeItem(key)
  } catch {
    // a device that keeps nothing knows it as long as its page lives
  }
  return (waits = now ?? waits)
}
