// A simulated relay of an enlarger's lamp: 'US,+0003.42,s,lit+0000.000' twenty times a second: the s it still is on, and how long it was on the last time, by its own
// clock. Commands: E s (on for so many s; 0 switches it off), F 0-1 (no fault, its relay does not close).
import { serveLines, signed } from './line-server.mjs'

let litAt = null
let untilAt = null
let lastS = 0
let fault = 0
let timer = 0
let turn = 0
// a timer may come some ms late: the last of them are waited for closely
const closelyMs = 25

function off() {
  if (litAt !== null) lastS = (performance.now() - litAt) / 1000
  litAt = untilAt = null
  clearTimeout(timer)
  turn += 1
}
function near(mine) {
  if (mine !== turn) return
  if (performance.now() >= untilAt) off()
  else setImmediate(() => near(mine))
}
function on(seconds) {
  off()
  if (fault === 1 || seconds <= 0) return
  litAt = performance.now()
  untilAt = litAt + seconds * 1000
  const mine = turn
  timer = setTimeout(() => near(mine), Math.max(0, seconds * 1000 - closelyMs))
}

serveLines({
  everyMs: 50,
  line() {
    const left = untilAt === null ? 0 : Math.max(0, untilAt - performance.now()) / 1000
    return `${untilAt === null ? 'ST' : 'US'},${signed(left, 4, 2)},s,lit${signed(lastS, 4, 3)}`
  },
  command(word, value) {
    if (word === 'E' && value >= 0 && value <= 3600) on(value)
    if (word === 'F') {
      fault = value
      if (fault === 1) off()
    }
  },
})
