import { connect as dial } from 'node:net'
import { request as plainRequest } from 'node:http'
import { api } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { connect } from '../database/connection'
import { isNear } from '../device/address'
import { linePattern } from '../device/pattern'
import { linesOf } from '../device/lines'
import { testHouse, type Caller, type TestHouse } from '../test/house'
import { trusted } from './proxy'

let house: TestHouse
let ilse: Caller
beforeAll(async () => {
  house = await testHouse()
  ilse = await house.as('ilse')
}, 30_000)
afterAll(() => house.close())

const port = () => Number(new URL(house.url).port)
/** Asks under a host name of one's own choosing. */
const under = (host: string, path = '/api/session'): Promise<{ status: number; text: string }> =>
  new Promise((resolve, reject) => {
    plainRequest({ host: '127.0.0.1', port: port(), path, headers: { host } }, (response) => {
      let text = ''
      response.on('data', (chunk: Buffer) => (text += chunk.toString()))
      response.on('end', () => resolve({ status: response.statusCode ?? 0, text }))
    })
      .on('error', reject)
      .end()
  })

test('a stranger’s body is not read: the answer comes before it has been sent', async () => {
  for (const path of ['/api/proofs', '/api/imports/x/rows', '/api/jars/x/sheet', '/api/people']) {
    const status = await new Promise<string>((resolve, reject) => {
      const socket = dial({ host: '127.0.0.1', port: port() }, () => {
        // sixteen megabytes are announced, and a few bytes of them come
        socket.write(
          `${path.endsWith('sheet') ? 'PUT' : 'POST'} ${path} HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Type: application/json\r\nContent-Length: 16000000\r\n\r\n{"a":`,
        )
      })
      socket.once('data', (chunk: Buffer) => {
        resolve(chunk.toString().split(' ')[1] ?? '')
        socket.destroy()
      })
      socket.once('error', reject)
    })
    expect([path, status]).toEqual([path, '401'])
  }
  const long = await (
    await house.as(null)
  ).send('POST', '/api/session', { login: 'ilse', password: 'x'.repeat(190), more: 'y'.repeat(6000) })
  expect(long.status).toBe(413)
})

test('an upload that is stopped, cut short, or is no form is no fault of the house', async () => {
  const logged = jest.spyOn(console, 'error').mockImplementation(() => undefined)
  const head =
    '--x\r\nContent-Disposition: form-data; name="body"\r\n\r\n{}\r\n--x\r\nContent-Disposition: form-data; name="file"; filename="a.png"\r\n\r\n'
  const sent = (more: string, length: number) =>
    new Promise<string>((resolve, reject) => {
      const socket = dial({ host: '127.0.0.1', port: port() }, () =>
        socket.write(
          `POST /api/proofs HTTP/1.1\r\nHost: 127.0.0.1\r\nCookie: ${ilse.cookie}\r\nIdempotency-Key: ${uuid()}\r\nContent-Type: multipart/form-data; boundary=x\r\nContent-Length: ${length}\r\n\r\n${more}`,
        ),
      )
      socket.once('data', (data) => (resolve(data.toString()), socket.destroy())).once('error', reject)
      if (length > more.length) setTimeout(() => (socket.destroy(), resolve('stopped')), 300)
    })
  expect(await sent(`${head}half`, 5000)).toBe('stopped')
  expect(await sent(`${head}half`, head.length + 4)).toContain('is not one file with its facts beside it')
  await house.one('select 1')
  expect(logged.mock.calls).toEqual([])
  logged.mockRestore()
})

test('only the house’s own names are answered, and those a technician has set', async () => {
  for (const own of ['127.0.0.1', `localhost:${port()}`]) expect((await under(own)).status).toBe(200)
  for (const foreign of ['rebind.example', 'localhost.example', '8.8.8.8']) {
    const refused = await under(foreign)
    expect([foreign, refused.status]).toEqual([foreign, 421])
    expect(refused.text).not.toContain('demoSignIns')
  }
  const settings = (await ilse.call(api.darkroom.get)).body
  const set = await ilse.call(api.darkroom.change, { body: { ...settings, hosts: ['loft.test'] } })
  expect(set.body.hosts).toEqual(['loft.test'])
  // names are asked for again after a moment
  await new Promise((done) => setTimeout(done, 5100))
  expect((await under(`loft.test:${port()}`)).status).toBe(200)
  expect((await under('rebind.example')).status).toBe(421)
}, 20_000)

test('TRUST_PROXY takes hops or addresses, and says what is wrong with anything else', () => {
  expect(trusted('1')).toBe(1)
  expect(trusted('10.0.0.2, 192.168.1.0/24, loopback')).toEqual(['10.0.0.2', '192.168.1.0/24', 'loopback'])
  for (const wrong of ['true', 'yes', '0', '99', '0.0.0.0/0', '::/0', 'proxy.local', '1,'])
    expect(() => trusted(wrong)).toThrow(/TRUST_PROXY/)
})

test('wrong tries at someone’s name from one place do not keep them out from another', async () => {
  const own = await testHouse('demo', undefined, { trustProxy: '1' })
  const stranger = await own.as(null)
  const from = (ip: string, login: string, password: string) =>
    stranger.send('POST', '/api/session', { login, password }, { 'x-forwarded-for': ip })
  for (let place = 1; place <= 9; place++)
    for (let i = 0; i < 10; i++) expect((await from(`203.0.113.${place}`, 'huw', 'wrong')).status).toBe(401)
  expect((await from('203.0.113.1', 'huw', 'wrong')).status).toBe(429)
  expect((await from('198.51.100.7', 'huw', 'tide-mill-loft')).status).toBe(200)
  await own.close()
}, 60_000)

test('many writes at once on a small pool do not wait for a second connection each', async () => {
  const small = connect(`${house.databaseUrl}`)
  // as many transactions as there are connections, each with a statement that names none
  const worked = await Promise.all(
    Array.from({ length: 40 }, () =>
      small.transaction(async () => {
        const [a] = await small.query<{ pid: number }>('select pg_backend_pid() as pid')
        const [b] = await small.query<{ pid: number }>('select pg_backend_pid() as pid, pg_sleep(0.01)')
        return a?.pid === b?.pid
      }),
    ),
  )
  expect(worked.every(Boolean)).toBe(true)
  await small.close()
}, 30_000)

test('device patterns run in time that grows with the line only, and lines are cut while they arrive', () => {
  const slow = linePattern('^(?<value>(a+)+)$')
  const began = process.cpuUsage()
  expect(slow.groupsOf(`${'a'.repeat(30)}!`)).toBeNull()
  expect(process.cpuUsage(began).user).toBeLessThan(2_000_000)
  expect(linePattern('^ST,(?<value>[+-]?\\d+\\.\\d+),(?<unit>g)$').groupsOf('ST,+12.5,g')).toEqual({ value: '+12.5', unit: 'g' })
  const lines: string[] = []
  const hear = linesOf((line) => lines.push(line))
  hear('ST,1.0')
  hear(',g\r\nUS,2')
  for (let i = 0; i < 100; i++) hear('9'.repeat(5000))
  hear('\nST,3.0,g\n')
  expect(lines).toEqual(['ST,1.0,g', 'ST,3.0,g'])
})

test('bench devices stand in the private networks, unless the house says otherwise', async () => {
  expect(['10.1.2.3', '192.168.4.5', '172.20.0.1', '127.0.0.1', '::1', 'fd00::1', '::ffff:10.0.0.1'].filter(isNear)).toHaveLength(7)
  expect(['8.8.8.8', '172.32.0.1', '2001:db8::1', '169.254.169.254.example'].filter(isNear)).toEqual([])
  const device = (host: string, pattern = '(?<value>\\d+)') =>
    ilse.call(api.device.add, { body: { id: uuid(), kind: 'scale', name: `Scale at ${host}`, host, port: 9, pattern, active: false } })
  expect((await device('93.184.216.34')).body).toMatchObject({ code: 'far-device', field: 'host' })
  expect((await device('192.168.1.9', '(?<value>\\d+)(?=g)')).body).toMatchObject({ code: 'pattern', field: 'pattern' })
  expect((await device('192.168.1.9')).status).toBe(200)
})

test('the event stream is its session’s: it says to each only what their role hears, and ends when they sign out', async () => {
  const member = await house.as('tilda')
  const stream = await fetch(`${house.url}/api/events`, { headers: { cookie: member.cookie } })
  const reader = stream.body?.getReader()
  let text = ''
  const ended = (async () => {
    for (;;) {
      const { done, value } = (await reader?.read()) ?? { done: true, value: undefined }
      if (done) return
      text += Buffer.from(value ?? []).toString()
    }
  })()
  const heard = async (wanted: RegExp) => {
    for (let i = 0; i < 100 && !wanted.test(text); i++) await new Promise((done) => setTimeout(done, 50))
    expect(text).toMatch(wanted)
  }
  await heard(/retry/)
  const jar = { id: uuid(), entryId: uuid(), chemical: 'metol', grams: 10, lot: '', place: '' }
  await ilse.call(api.jar.receive, { body: jar })
  const bottle = (await ilse.send('GET', '/api/bottles')).body.rows?.find((row) => row.family === 'fixer')?.id as string
  await ilse.send('POST', `/api/bottles/${bottle}/measure`, { entryId: uuid(), ml: 10 })
  await heard(new RegExp(bottle))
  expect(text).not.toContain(jar.id)
  await member.send('DELETE', '/api/session', {})
  await ended
}, 20_000)

test('an outage is answered as one, and never says that nothing was changed', async () => {
  const own = await testHouse()
  const odo = await own.as('odo')
  await own.db.sequelize.close()
  const answer = await odo.send('GET', '/api/bottles')
  expect([answer.status, answer.body.code]).toEqual([503, 'unavailable'])
  expect(answer.body.message).toContain('may or may not')
  await own.close().catch(() => undefined)
}, 20_000)
