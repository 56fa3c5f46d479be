// A simulated thermometer with lag: 'ST,+0021.3,C'. Command: B celsius (what it is dipped into).
import { noise, serveLines, signed } from './line-server.mjs'

const lagS = 4
let bath = 21
let shown = 21
let last = Date.now()

serveLines({
  everyMs: 500,
  line() {
    const now = Date.now()
    shown += (bath - shown) * (1 - Math.exp(-(now - last) / 1000 / lagS))
    last = now
    return `${Math.abs(bath - shown) < 0.1 ? 'ST' : 'US'},${signed(shown + noise() * 0.02, 4, 1)},C`
  },
  command(word, value) {
    if (word === 'B') bath = value
  },
})
