import { openStream, type Said } from './stream'

/** What a tab says to the worker: who listens there, or that it goes. */
export type Told = { listens: string } | 'leaves'

// a browser keeps six connections to a house at the most, and a stream holds one for as long as it is open: all tabs hear through this one
const tabs = new Set<MessagePort>()
let who = ''
let close: (() => void) | null = null
let last: Said | null = null

function stop(): void {
  close?.()
  close = null
}
function listen(person: string): void {
  stop()
  who = person
  last = null
  close = openStream((said) => {
    if (said.what === 'open' || said.what === 'lost') last = said
    for (const tab of tabs) tab.postMessage(said)
  })
}

;(self as unknown as { onconnect: (event: MessageEvent) => void }).onconnect = ({ ports: [tab] }) => {
  if (!tab) return
  tab.onmessage = ({ data }: MessageEvent<Told>) => {
    if (data === 'leaves') {
      tabs.delete(tab)
      if (tabs.size === 0) stop()
      return
    }
    tabs.add(tab)
    // whoever signs in again does not wait for the next try of a stream that was refused
    if (close === null || data.listens !== who || last?.what === 'lost') listen(data.listens)
    else if (last) tab.postMessage(last)
  }
}
