import { onBeforeUnmount, ref } from 'vue'

/** A file on its way: how much of it is sent (null while none is), and how it is stopped. Once all of it is with the server nothing stops it any more. */
export function useSending() {
  const share = ref<number | null>(null)
  let ending: AbortController | null = null

  /** What a call with a file is told to do, while it lasts. */
  async function sending<T>(work: (parts: { signal: AbortSignal; sent: (share: number) => void }) => Promise<T>): Promise<T> {
    const mine = (ending = new AbortController())
    share.value = 0
    try {
      return await work({ signal: mine.signal, sent: (now) => void (ending === mine && (share.value = now)) })
    } finally {
      if (ending === mine) share.value = ending = null
    }
  }
  const stop = (): void => {
    if (share.value !== null && share.value < 1) ending?.abort(new Error('Stopped: nothing was sent, and what you typed is still here.'))
  }
  onBeforeUnmount(stop)
  return { share, sending, stop }
}
