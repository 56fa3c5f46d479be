import { chmodSync, closeSync, existsSync, fsyncSync, openSync, renameSync, rmSync, statSync } from 'node:fs'
import { ask, postgresTool } from './postgres.mjs'

/**
 * Writes the database into one file, readable by its owner alone: beside it first, read back, and only then under its name, so that an older backup of that
 * name survives whatever goes wrong. Null when it is there, else lines that say what happened.
 */
export function writeBackup(url, file) {
  const beside = `${file}.${process.pid}.part`
  const before = existsSync(file) ? `The backup that was there, ${file}, is as it was.` : 'No file was left behind.'
  const failed = (...lines) => {
    rmSync(beside, { force: true })
    return [...lines, before]
  }
  try {
    // its mode is set before anything is in it
    closeSync(openSync(beside, 'wx', 0o600))
    chmodSync(beside, 0o600)
  } catch (error) {
    return failed(`${file} cannot be written: ${error.message}`)
  }
  const dumped = postgresTool('pg_dump', ['--format=custom', '--no-owner', `--file=${beside}`], { url })
  if (dumped.status !== 0) return failed('The backup failed: see above.')
  const listed = postgresTool('pg_restore', ['--list', beside], { stdio: ['ignore', 'pipe', 'inherit'], encoding: 'utf8' })
  if (listed.status !== 0 || !/TABLE DATA public darkroom/.test(listed.stdout ?? ''))
    return failed('The backup was written but cannot be read back, so it is not kept.')
  // every byte of it is read once: a disk that gave out in the middle shows now
  const read = postgresTool('pg_restore', ['--file=/dev/null', beside])
  if (read.status !== 0 || statSync(beside).size === 0)
    return failed('The backup was written but cannot be read to its end, so it is not kept.')
  try {
    const handle = openSync(beside, 'r')
    fsyncSync(handle)
    closeSync(handle)
    renameSync(beside, file)
  } catch (error) {
    return failed(`The backup cannot be put at ${file}: ${error.message}`)
  }
  return null
}

/** What is to be said of a backup that holds notes of exposure, which are health data; null where it holds none. */
export function healthIn(url) {
  if (ask(url, `select to_regclass('exposure_note') is not null`) !== 't') return null
  const many = Number(ask(url, 'select count(*) from exposure_note'))
  if (!(many > 0)) return null
  return `It holds ${many === 1 ? 'a note' : `${many} notes`} of exposure, which ${many === 1 ? 'is' : 'are'} health data: keep it under lock, and delete copies that are not needed.`
}
