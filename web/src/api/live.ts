import { liveEvent, reading, type LiveEvent, type Reading } from '@selvrin/core/contract'
import { ref } from 'vue'

type Listener = (event: LiveEvent | 'all') => void
const listeners = new Set<Listener>()
let source: EventSource | null = null

/** Whether the server can be heard; a run's clock does not need it. */
export const connected = ref(true)

/** Calls back for every change someone makes, and with 'all' when changes may have been missed. Answers how to stop. */
export function onChange(listener: Listener): () => void {
  listeners.add(listener)
  return () => void listeners.delete(listener)
}

const readers = new Set<(reading: Reading) => void>()
/** Calls back for every reading of a bench device. Answers how to stop. */
export function onReading(reader: (reading: Reading) => void): () => void {
  readers.add(reader)
  return () => void readers.delete(reader)
}

const tell = (event: LiveEvent | 'all') => listeners.forEach((listener) => listener(event))

export function openLive(): void {
  source?.close()
  const stream = new EventSource('/api/events')
  source = stream
  let opened = false
  stream.onopen = () => {
    connected.value = true
    if (opened) tell('all')
    opened = true
  }
  stream.onerror = () => {
    connected.value = false
  }
  stream.addEventListener('again', () => tell('all'))
  stream.addEventListener('reading', ({ data }: MessageEvent<string>) => {
    const read = reading.safeParse(JSON.parse(data))
    if (read.success) readers.forEach((reader) => reader(read.data))
  })
  stream.onmessage = ({ data }: MessageEvent<string>) => {
    const event = liveEvent.safeParse(JSON.parse(data))
    if (event.success) tell(event.data)
  }
}

export function closeLive(): void {
  source?.close()
  source = null
}
