import { houseProcesses } from '../process/families'
import { changeStep } from '../process/edit/edit'
import type { ProcessBody } from '../process/process'
import { readProcessCsv, writeProcessCsv } from './processCsv'
import { readProcessFile, writeProcessFile } from './processFile'

const bodies = houseProcesses.map(({ id: _, ...body }): ProcessBody => body)
const [hand] = bodies as [ProcessBody]
const code = (name: string) => expect.objectContaining({ code: name })
/** With everything that a step may have. */
const full = changeStep({ ...hand, note: 'a note, with "quotes"\nand lines' }, 'stop', {
  ...{ time: { inspect: true, atMostS: 40 }, atC: 21.5, c: { min: 18, max: 24 }, light: { safelight: 'amber' }, fate: { drum: 'acids' } },
  ...{
    agitation: { name: 'ours', firstS: 20, forS: 5, everyS: 30, inversions: 2, at: 'end', closingS: 10 },
    drainS: 12,
    changes: 2,
    sides: 2,
  },
  ...{ perRollPerLitreS: 3.5, push: [{ stops: -1, factor: 0.75 }, { stops: 2, factor: 1.9 }], reverses: true, vents: false, maxWaitS: 60 }, // prettier-ignore
  note: 'gently; then wait',
})

test.each([
  ['JSON', writeProcessFile, readProcessFile],
  ['CSV', writeProcessCsv, readProcessCsv],
] as const)('out as %s and in again every process is the same, whatever its steps have', (_name, write, read) => {
  expect(read(write([...bodies, { ...full, name: 'Full' }]))).toEqual([...bodies, { ...full, name: 'Full' }])
  // what only the house knows of it does not go out
  expect(write(houseProcesses.slice(0, 1))).toBe(write([hand]))
})

test.each([
  ['no JSON at all', 'process;', readProcessFile],
  ['another file', '{"format":"selvrin-jars","version":1,"jars":[]}', readProcessFile],
  ['a later version', writeProcessFile([hand]).replace('"version": 1', '"version": 2'), readProcessFile],
  ['an unknown kind', writeProcessFile([hand]).replace('"kind": "fix"', '"kind": "mend"'), readProcessFile],
  ['a table of something else', 'film,ei\nMillrace,400', readProcessCsv],
  ['an empty table', '', readProcessCsv],
  ['a time that is none', writeProcessCsv([hand]).replace('clearing 2 else 300', 'a while'), readProcessCsv],
])('%s is no file of processes', (_name, text, read) => expect(() => read(text)).toThrow(code('not-a-process')))

test.each([
  ['JSON', writeProcessFile([hand]).replaceAll('"role": "stop"', '"role": "gone"'), readProcessFile],
  ['CSV', writeProcessCsv([hand]).replaceAll('bath stop', 'bath gone'), readProcessCsv],
])('a process in %s whose parts do not belong together is refused', (_name, text, read) =>
  expect(() => read(text)).toThrow(code('process-broken')),
)
