/** Keeps the screen on while a run is on, where the browser can; over plain http most cannot, and the page says so. */
export function keepAwake() {
  let lock: WakeLockSentinel | null = null
  const possible = 'wakeLock' in navigator && navigator.wakeLock !== undefined
  const take = async () => {
    if (possible && document.visibilityState === 'visible') lock = await navigator.wakeLock.request('screen').catch(() => null)
  }
  const again = () => void take()
  void take()
  document.addEventListener('visibilitychange', again)
  return {
    possible,
    release(): void {
      document.removeEventListener('visibilitychange', again)
      void lock?.release().catch(() => undefined)
    },
  }
}
