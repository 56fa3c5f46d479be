import { houseProcesses } from './families'
import { houseFirstVersion, houseIds } from './families/ids'
import { chosenOptions, type Process } from './process'
import { planRequest, readRequest } from './request'

let made = 0
const uuid = (): string => `01890000-0000-7000-8000-${String(++made).padStart(12, '0')}`
const ids = { vesselId: uuid(), row: uuid(), film: uuid(), member: uuid() }
const [developer, stop, fixer, second, aid, wetting] = Array.from({ length: 6 }, () => uuid())
const before = (families: Record<string, string | undefined>, more: object = {}) => ({
  vesselId: ids.vesselId,
  films: [{ id: ids.film, memberId: ids.member, film: 'Millrace 400', format: '135-36', ei: 400, pushStops: 0 }],
  chartRowIds: [ids.row],
  baths: Object.entries(families).map(([family, bottleId]) => ({ family: family.replace('2', ''), bottleId, parts: [1] })),
  temperatureC: 20,
  agitation: '10-4inv-30',
  preWet: false,
  washAid: false,
  wettingAgent: false,
  ...more,
})
const on = (process: Process, stored: unknown, vessel: 'hand' | 'rotary') =>
  chosenOptions(process, readRequest(stored, vessel)?.options).flatMap((one) => (one.on ? [one.id] : []))
const [hand, rotary] = houseProcesses

describe('what was decided before processes were data', () => {
  const plain = before({ 'film-developer': developer, 'stop-bath': stop, fixer })
  test('names the house process it came from, and its baths by role', () => {
    const read = readRequest(plain, 'hand')
    expect(read).toMatchObject({
      processVersionId: houseFirstVersion(houseIds['bw-negative']),
      baths: [
        { role: 'developer', bottleId: developer, parts: [1] },
        { role: 'stop', bottleId: stop, parts: [1] },
        { role: 'fixer', bottleId: fixer, parts: [1] },
      ],
      temperatureC: 20,
    })
    // as it is kept from now on
    expect(planRequest.parse(read)).toEqual(read)
    expect(readRequest(read, 'rotary')).toEqual(read)
  })
  test('keeps its switches as the options of that process', () => {
    expect(on(hand, plain, 'hand')).toEqual(['acid-stop', 'one-fix', 'fills'])
    const all = before(
      { 'film-developer': developer, fixer, fixer2: second, 'wash-aid': aid, 'wetting-agent': wetting },
      { preWet: true, washAid: true, wettingAgent: true },
    )
    expect(on(hand, all, 'hand')).toEqual(['pre-wet', 'water-stop', 'two-fix', 'wash-aid', 'wetting-agent'])
    expect(readRequest(all, 'hand')?.baths.map((one) => one.role)).toEqual([
      'developer',
      'fixer',
      'second-fixer',
      'wash-aid',
      'wetting-agent',
    ])
  })
  test('in a drum it was the drum’s', () => {
    expect(readRequest(plain, 'rotary')?.processVersionId).toBe(houseFirstVersion(houseIds['bw-negative-rotary']))
    expect(on(rotary!, plain, 'rotary')).toEqual(['acid-stop', 'one-fix', 'changes'])
  })
  test.each([null, undefined, 'a request', 7, {}, { baths: [] }, { ...plain, films: [] }])('%j can not be read', (stored) =>
    expect(readRequest(stored, 'hand')).toBeNull(),
  )
})
