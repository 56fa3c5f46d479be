// A simulated scale: 'ST,+0012.34,g' when it has settled, 'US,…' while it moves. Commands: P grams (pour), C (clear the pan), T (tare).
import { noise, serveLines, signed } from './line-server.mjs'

const noiseG = 0.003
const driftGPerS = 0.00005
/** s in which a poured amount arrives, and in which the reading settles */
const pourS = 1.2
const settleS = 0.25

let target = 0
let perSecond = 0
let load = 0
let shown = 0
let tare = 0
let drift = 0
let last = Date.now()
let moved = 0

serveLines({
  everyMs: 200,
  line() {
    const now = Date.now()
    const dt = (now - last) / 1000
    last = now
    const step = Math.sign(target - load) * Math.min(Math.abs(target - load), Math.abs(perSecond) * dt)
    load += step
    if (step !== 0) moved = now
    drift += driftGPerS * dt
    shown += (load - shown) * (1 - Math.exp(-dt / settleS))
    const settled = now - moved > 900 && Math.abs(load - shown) < 0.01
    const reading = shown + drift - tare + noise() * noiseG
    return `${settled ? 'ST' : 'US'},${signed(Math.round(reading * 100) / 100, 4, 2)},g`
  },
  command(word, value) {
    if (word === 'P') target += value
    if (word === 'C') target = 0
    if (word === 'T') tare = shown + drift
    if (word === 'C') tare = drift
    perSecond = Math.max(Math.abs(target - load) / pourS, 0.5)
    moved = Date.now()
  },
})
