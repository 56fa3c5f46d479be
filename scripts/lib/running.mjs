import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { stateFolder } from './place.mjs'
import { step } from './say.mjs'

const lockFile = () => join(stateFolder(), 'running.json')

/** Whether the process of that number is the one that is meant: numbers are given out again. */
function lives(pid, words) {
  try {
    return pid > 0 && readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes(words)
  } catch {
    return false
  }
}

function noted() {
  if (!existsSync(lockFile())) return null
  try {
    return JSON.parse(readFileSync(lockFile(), 'utf8'))
  } catch {
    return null
  }
}

/** What runs for this clone: its start command; or a server whose start command was killed. */
export function running() {
  const lock = noted()
  if (!lock) return null
  if (lives(lock.pid, 'start.mjs')) return { ...lock, orphan: false }
  return lives(lock.serverPid, join('server', 'dist', 'main.mjs')) ? { ...lock, orphan: true } : null
}

/** Whether a start of this clone that is gone had started PostgreSQL and did not come to stop it. */
export function leftPostgres() {
  const lock = noted()
  return lock !== null && lock.postgres === true && !lives(lock.pid, 'start.mjs')
}

export const note = (lock) => writeFileSync(lockFile(), JSON.stringify(lock))
export const forget = () => rmSync(lockFile(), { force: true })

/** Stops a server that nobody looks after, and waits until it is gone. Answers whether it went. */
export async function takeOver({ serverPid }) {
  step(`a server of this clone was left running (process ${serverPid}) when its start was killed: taking it over …`)
  for (const [signal, tries] of [
    ['SIGTERM', 100],
    ['SIGKILL', 20],
  ]) {
    try {
      process.kill(serverPid, signal)
    } catch (error) {
      if (error.code === 'ESRCH') return true
      return false
    }
    for (let i = 0; i < tries; i++) {
      await new Promise((done) => setTimeout(done, 100))
      if (!lives(serverPid, 'main.mjs')) return true
    }
  }
  return false
}
