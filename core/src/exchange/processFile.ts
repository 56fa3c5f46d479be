import { z } from 'zod'
import { DomainError } from '../error'
import { requireWhole, type ProcessBody } from '../process/process'
import { processBody } from '../process/processBody'

/* Processes out to a file and in from one: what a process is, whole, as JSON. */

export const processFile = z.strictObject({
  format: z.literal('selvrin-processes'),
  version: z.literal(1),
  processes: z.array(processBody).min(1).max(200),
})

/**
 * Processes as a JSON file.
 * @example
 * readProcessFile(writeProcessFile([houseProcesses[2]]))[0].name // → 'Monobath'
 */
export const writeProcessFile = (processes: ProcessBody[]): string =>
  `${JSON.stringify({ format: 'selvrin-processes', version: 1, processes: processes.map((one) => processBody.parse(bare(one))) }, null, 2)}\n`

/** What of a file cannot be read, by the first place that does not fit. */
export function unreadable(what: string, { issues: [issue] }: z.ZodError): DomainError {
  const where = issue?.path.join(' › ') ?? ''
  return new DomainError('not-a-process', `${what}${where === '' ? '' : ` (${where})`}: ${issue?.message ?? 'it cannot be read'}`)
}

/** Without what a row of the house has beside it. */
const bare = (process: ProcessBody): unknown =>
  Object.fromEntries(Object.keys(processBody.shape).flatMap((key) => (key in process ? [[key, process[key as keyof ProcessBody]]] : [])))

/**
 * The processes of a JSON file, each whole by itself.
 * @throws DomainError 'not-a-process' where it is no such file, with what does not fit; 'process-broken' where its parts do not belong together
 * @example
 * readProcessFile('{}') // throws 'not-a-process'
 */
export function readProcessFile(text: string): ProcessBody[] {
  let read: unknown
  try {
    read = JSON.parse(text)
  } catch {
    throw new DomainError('not-a-process', 'This is no JSON file. Take one that was written here as JSON.')
  }
  const file = processFile.safeParse(read)
  if (!file.success) throw unreadable('This is no file of processes', file.error)
  file.data.processes.forEach(requireWhole)
  return file.data.processes
}
