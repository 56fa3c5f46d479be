import { liveEvent, reading, type LiveEvent, type Reading } from '@selvrin/core/contract'
import { ref } from 'vue'
import type { Told } from './live.worker'
import { openStream, type Said } from './stream'

type Listener = (event: LiveEvent | 'all') => void
const listeners = new Set<Listener>()
let close: (() => void) | null = null
let listener = ''
let hearing = false
/** changes may have gone unheard */
let unheard = false

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

/** Changes may have been missed, by whatever way. */
export const missed = (): void => tell('all')

function open(): void {
  // a stream that takes another's place was silent in between
  const between = hearing || unheard
  hearing = connected.value = true
  unheard = false
  if (between) tell('all')
}
function lost(): void {
  unheard = true
  hearing = connected.value = false
}

function hear(said: Said): void {
  if (said.what === 'open') open()
  else if (said.what === 'lost') lost()
  else if (said.what === 'again') tell('all')
  else if (said.what === 'reading') {
    const read = reading.safeParse(JSON.parse(said.data))
    if (read.success) readers.forEach((reader) => reader(read.data))
  } else {
    const event = liveEvent.safeParse(JSON.parse(said.data))
    if (event.success) tell(event.data)
  }
}

/** Listens for that person, together with the other tabs of this browser where it can share. */
export function openLive(person: string): void {
  closeLive()
  listener = person
  if (typeof SharedWorker === 'undefined') {
    close = openStream(hear)
    return
  }
  const { port } = new SharedWorker(new URL('./live.worker.ts', import.meta.url), { type: 'module', name: 'live' })
  const say = (told: Told) => port.postMessage(told)
  port.onmessage = ({ data }: MessageEvent<Said>) => hear(data)
  say({ listens: person })
  close = () => {
    say('leaves')
    port.close()
  }
}

export function closeLive(): void {
  close?.()
  close = null
  unheard ||= hearing
  hearing = false
}

// a page that is put aside keeps nobody waiting; one that is taken up again may have missed something
addEventListener('pagehide', closeLive)
addEventListener('pageshow', ({ persisted }) => {
  if (persisted && listener !== '') openLive(listener)
})
