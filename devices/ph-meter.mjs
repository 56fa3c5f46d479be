// A simulated pH meter, a little out of calibration: 'ST,+08.62,pH'. Command: S pH (the solution the electrode stands in).
import { noise, serveLines, signed } from './line-server.mjs'

const lagS = 2
const slope = 0.97
const offset = 0.05
let solution = 7
let shown = 7
let last = Date.now()

serveLines({
  everyMs: 500,
  line() {
    const now = Date.now()
    shown += (solution - shown) * (1 - Math.exp(-(now - last) / 1000 / lagS))
    last = now
    const reading = 7 + slope * (shown - 7) + offset + noise() * 0.004
    return `${Math.abs(solution - shown) < 0.02 ? 'ST' : 'US'},${signed(reading, 2, 2)},pH`
  },
  command(word, value) {
    if (word === 'S') solution = value
  },
})
