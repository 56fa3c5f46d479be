import { pauseMs } from '@selvrin/core'

/** What is heard of the house, as it goes between a stream and the tabs that listen. */
export type Said =
  /** changes are heard from here on; what was before it may have been missed */
  | { what: 'open' }
  /** the house itself had not listened: changes may have been missed */
  | { what: 'again' }
  | { what: 'lost' }
  | { what: 'event' | 'reading'; data: string }

/** Opens the house's event stream and keeps it open. Answers how to close it. */
export function openStream(say: (said: Said) => void): () => void {
  let source: EventSource
  let retry: ReturnType<typeof setTimeout> | undefined
  let failed = 0
  function open(): void {
    source = new EventSource('/api/events')
    source.onopen = () => {
      failed = 0
      say({ what: 'open' })
    }
    source.onerror = () => {
      say({ what: 'lost' })
      // a browser gives up where it is refused, as by a server that is just starting
      if (source.readyState === source.CLOSED) retry = setTimeout(open, pauseMs(failed++, Math.random))
    }
    source.addEventListener('again', () => say({ what: 'again' }))
    source.addEventListener('reading', ({ data }: MessageEvent<string>) => say({ what: 'reading', data }))
    source.onmessage = ({ data }: MessageEvent<string>) => say({ what: 'event', data })
  }
  open()
  return () => {
    clearTimeout(retry)
    source.close()
  }
}
