// Whether the machine itself stood still: a process on each processor that only wants to be woken every 10 ms, and writes down when it was woken late. What a virtual machine's host
// takes away, or another process, shows there as well as in what is measured beside it.
import { spawn } from 'node:child_process'
import { cpus } from 'node:os'

const everyMs = 10
const lateMs = 30
const watching = `
  let last = performance.now()
  setInterval(() => {
    const now = performance.now()
    const late = now - last - ${everyMs}
    if (late > ${lateMs}) console.log(JSON.stringify({ at: Date.now() - late, ms: late }))
    last = now
  }, ${everyMs})`

/** Watches every processor until `stop`, which answers when (ms since 1970) each stood still, and for how long, the longest first. */
export function watchStandstill() {
  const found = []
  const watchers = cpus().map((_, cpu) => {
    const child = spawn('taskset', ['-c', String(cpu), process.execPath, '-e', watching], { stdio: ['ignore', 'pipe', 'ignore'] })
    // a machine without taskset is not watched, and that is said
    child.on('error', () => found.push({ at: 0, ms: 0, unwatched: true }))
    let said = ''
    child.stdout.on('data', (text) => {
      said += text
      const lines = said.split('\n')
      said = lines.pop()
      for (const line of lines) found.push({ cpu, ...JSON.parse(line) })
    })
    return child
  })
  return {
    stop: () => {
      for (const child of watchers) child.kill('SIGKILL')
      if (found.some((one) => one.unwatched)) throw new Error('There is no taskset on this machine: install util-linux.')
      return found.sort((a, b) => b.ms - a.ms)
    },
  }
}
