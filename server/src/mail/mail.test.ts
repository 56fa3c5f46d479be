import { spawn, type ChildProcess } from 'node:child_process'
import { join } from 'node:path'
import { createTransport, type SendMailOptions } from 'nodemailer'
import { v7 as uuid } from 'uuid'
import { testHouse, type Caller, type TestHouse } from '../test/house'
import { sendDue } from './sending'

let house: TestHouse
let [ilse, tilda]: Caller[] = []
let post: ChildProcess
let ports: { smtp: number; page: number }
let transport: ReturnType<typeof createTransport>
beforeAll(async () => {
  post = spawn(process.execPath, [join(__dirname, '../../../devices/post.mjs'), '0'], { stdio: ['ignore', 'pipe', 'inherit'] })
  ports = await new Promise((found) =>
    post.stdout?.on('data', (text: Buffer) => {
      const [, smtp, page] = /listening (\d+) page (\d+)/.exec(text.toString()) ?? []
      if (smtp && page) found({ smtp: Number(smtp), page: Number(page) })
    }),
  )
  transport = createTransport(`smtp://127.0.0.1:${ports.smtp}`)
  house = await testHouse()
  await house.sql('delete from mail_wish')
  ;[ilse, tilda] = [await house.as('ilse'), await house.as('tilda')]
}, 60_000)
afterAll(async () => {
  transport.close()
  post.kill()
  await house.close()
})
beforeEach(() => house.sql('delete from letter'))

interface Got {
  id: string
  to: string
  text: string
  times: number
}
const got = async (): Promise<Got[]> => (await (await fetch(`http://127.0.0.1:${ports.page}/letters.json`)).json()) as Got[]
const gotWith = async (words: string): Promise<Got[]> => (await got()).filter((one) => one.text.includes(words))

async function wish(more: object = {}): Promise<void> {
  const { version } = (await tilda!.send('GET', '/api/mail/mine')).body as { version: number }
  const usual = { address: 'tilda@tidewheel.example', wanted: true, quietFrom: '00:00', quietUntil: '00:00' }
  expect((await tilda!.send('PUT', '/api/mail/mine', { version, ...usual, ...more })).status).toBe(200)
}
const tell = async (text: string, id = uuid()): Promise<string> => {
  await house.sql(
    `insert into notice (id, person_id, at, text) select $1, id, to_timestamp($3), $2 from person where login = 'tilda' returning id`,
    [...[id, text, house.now() / 1000]],
  )
  return id
}
const send = (how: { sendMail: (mail: SendMailOptions) => Promise<unknown> } = transport): Promise<number> =>
  sendDue({ db: house.db, clock: { now: house.now } }, how as never, 'darkroom@tidewheel.example')

test('whoever said where is written to what they are told; whoever did not is not', async () => {
  await tell('before anything was said')
  expect(await send()).toBe(0)
  await wish()
  await tell('your rolls go in at 19:10')
  await send()
  expect(await gotWith('19:10')).toEqual([expect.objectContaining({ to: 'tilda@tidewheel.example', times: 1 })])
  expect(await send()).toBe(0)
  const { rows, sends } = (await ilse!.send('GET', '/api/mail')).body
  expect([sends, rows?.[0]?.to, rows?.[0]?.sentAt !== null, rows?.[0]?.nextAt]).toEqual([false, 'Tilda Rook', true, null])
  expect((await tilda!.send('GET', '/api/mail')).status).toBe(403)
})

test('what is said anew before it is sent is sent once, as it is said last', async () => {
  await wish()
  const id = await tell('in at 20:00')
  await house.sql(`update notice set text = 'in at 20:40' where id = $1 returning id`, [id])
  await send()
  expect([(await gotWith('in at 20:00')).length, (await gotWith('in at 20:40')).length]).toEqual([0, 1])
})

test('what was read meanwhile, or taken back before its time had come, is not sent', async () => {
  await wish()
  const id = await tell('seen on the page')
  await house.sql(`update notice set read_at = now() where id = $1 returning id`, [id])
  await send()
  expect(await gotWith('seen on the page')).toEqual([])
  expect(await send()).toBe(0)
})

test('a sender that dies after the letter was taken sends it again; the receiving side has one', async () => {
  await wish()
  await tell('dry: rack 3')
  const dies = {
    sendMail: async (mail: SendMailOptions) => {
      await transport.sendMail(mail)
      await house.db.sequelize.query('select pg_terminate_backend(pg_backend_pid())')
    },
  }
  await send(dies).catch(() => undefined)
  expect((await house.sql('select sent_at from letter'))[0]).toEqual({ sent_at: null })
  await send()
  expect(await gotWith('rack 3')).toEqual([expect.objectContaining({ times: 2 })])
  expect(await send()).toBe(0)
})

test('two who send at the same time send each letter once', async () => {
  await wish()
  for (let i = 0; i < 30; i++) await tell(`both, number ${i}.`)
  const looked = await Promise.all([send(), send()])
  expect(looked[0]! + looked[1]!).toBe(30)
  const letters = await gotWith('both, number')
  expect([letters.length, letters.every((one) => one.times === 1)]).toEqual([30, true])
})

test('in quiet times it waits; not wanted any more it is not sent', async () => {
  // quiet is all day but the minute before now
  const minute = (at: number): string =>
    new Intl.DateTimeFormat('en-GB', { timeZone: 'Europe/Lisbon', hour: '2-digit', minute: '2-digit' }).format(at)
  await wish({ quietFrom: minute(house.now()), quietUntil: minute(house.now() - 120_000) })
  await tell('not while it is quiet')
  await send()
  expect(await gotWith('while it is quiet')).toEqual([])
  const [waiting] = await house.sql<{ next_at: number }>('select next_at from letter')
  expect(waiting!.next_at - house.now()).toBeGreaterThan(22 * 3_600_000)
  await wish({ wanted: false })
  house.advance(25 * 3_600_000)
  await send()
  expect([await gotWith('while it is quiet'), (await house.sql('select next_at, error from letter'))[0]]).toEqual([
    [],
    { next_at: null, error: 'Not wanted any more.' },
  ])
})

test('what cannot be sent is tried again later, and a technician sees why and can have it tried now', async () => {
  await wish()
  await tell('nobody takes this')
  const away = createTransport('smtp://127.0.0.1:1')
  await send(away)
  const [row] = ((await ilse!.send('GET', '/api/mail')).body.rows ?? []) as unknown as {
    id: string
    tries: number
    error: string
    nextAt: number
  }[]
  expect([row?.tries, row?.error, (row?.nextAt ?? 0) - house.now() > 30_000]).toEqual([1, expect.stringMatching(/ECONNREFUSED/), true])
  expect(await send()).toBe(0)
  expect((await ilse!.send('POST', `/api/mail/${row!.id}/again`, {})).status).toBe(200)
  await send()
  expect((await gotWith('nobody takes this')).length).toBe(1)
})

test('an address that is none is refused in a sentence, and what was there stays', async () => {
  await wish()
  const { version } = (await tilda!.send('GET', '/api/mail/mine')).body as { version: number }
  const wrong = { version, address: 'at the mill', wanted: true, quietFrom: '22:00', quietUntil: '08:00' }
  const { status, body } = await tilda!.send('PUT', '/api/mail/mine', wrong)
  expect([status, body.field, body.message]).toEqual([400, 'address', 'Write an address such as name@example.org, or leave it empty.'])
  expect((await tilda!.send('GET', '/api/mail/mine')).body).toMatchObject({ address: 'tilda@tidewheel.example', version })
})
