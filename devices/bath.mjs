// A simulated tempering bath: 'ST,+0037.61,C,set+0038.00,heat0.42' twice a second. Commands: W °C (set point), F 0–3 (no fault, its relay sticks, its sensor drifts, it
// refuses a set point), X n (its time runs n times as fast), C °C (filled anew with water of that temperature).
import { noise, serveLines, signed } from './line-server.mjs'

const litres = 20
const jPerK = 4186 * litres * 1.1
const powerW = 1050
const uaWPerK = 6.2
const bandC = 0.1
const roomC = 21
const driftCPerHour = 0.6
const sensorLagS = 6

// as on an evening of the demo
let bathC = 37.8
let shownC = 37.8
let setC = 37.8
let share = 0
let fault = 0
let driftC = 0
let hurry = 1
let last = Date.now()

function run(seconds) {
  for (let left = seconds; left > 0; left -= 1) {
    const dt = Math.min(1, left)
    const wanted = Math.min(1, Math.max(0, (setC - (bathC + driftC)) / bandC))
    // a relay that sticks stays as it was
    if (fault !== 1) share = wanted
    if (fault === 2) driftC -= (driftCPerHour / 3600) * dt
    bathC += ((share * powerW - uaWPerK * (bathC - roomC)) / jPerK) * dt
    bathC = Math.min(bathC, 100)
    shownC += (bathC + driftC - shownC) * (1 - Math.exp(-dt / sensorLagS))
  }
}

serveLines({
  everyMs: 500,
  line() {
    const now = Date.now()
    run(((now - last) / 1000) * hurry)
    last = now
    const steady = Math.abs(setC - shownC) < 0.15
    return `${steady ? 'ST' : 'US'},${signed(shownC + noise() * 0.01, 4, 2)},C,set${signed(setC, 4, 2)},heat${share.toFixed(2)}`
  },
  command(word, value) {
    if (word === 'W' && fault !== 3 && value >= 0 && value <= 60) setC = value
    if (word === 'X') hurry = Math.min(600, Math.max(1, value))
    if (word === 'C') [bathC, shownC, driftC] = [value, value, 0]
    if (word === 'F') {
      fault = value
      if (value === 0) driftC = 0
    }
  },
})
