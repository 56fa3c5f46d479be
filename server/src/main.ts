import { createServer as createHttp } from 'node:http'
import { createServer as createHttps } from 'node:https'
import { readFileSync } from 'node:fs'
import { createApp } from './app'
import { rebuildCheckpoints } from './bottle/checkpoint'
import { clockFromParent, systemClock } from './house/clock'
import { connect } from './database/connection'
import { TooNew } from './database/migrate'
import { prepare, WrongKind, type Kind } from './database/prepare'
import { beginEvening } from './demo/evening'
import { demoSignIns } from './demo/people'
import { readDevices } from './device/reader'
import { WrongSetting } from './http/proxy'
import { pointSimulated } from './device/rows'
import { sendingMail } from './mail/sending'
import { startJobs } from './job/jobs'
import { spreadWeeks } from './weeks/spreading'

/** Read from the environment: DATABASE_URL, HOST, PORT, WEB_DIR, SELVRIN_KIND (demo|house), SELVRIN_STRICT, SELVRIN_FRESH, SELVRIN_CHECKPOINTS (rebuild the ledgers' checkpoints and end), SELVRIN_DEVICES (ports of the simulated devices), SELVRIN_EVENING (off: no tank is on when the demo is opened first), SELVRIN_SMTP (the mail server's address, smtp://… or smtps://…; none: nothing is sent), SELVRIN_MAIL_FROM (who letters are from), TLS_CERT, TLS_KEY, TRUST_PROXY (a number of proxies, or their addresses), HOSTNAMES (names the house is opened under, beside those set in it). */
async function main(): Promise<void> {
  const { env } = process
  const url = env.DATABASE_URL
  if (url === undefined || url === '') throw new Error('DATABASE_URL is missing: start with npm start.')
  const host = env.HOST ?? '127.0.0.1'
  const port = Number(env.PORT ?? 4780)
  const db = connect(url)
  const clock = process.send ? clockFromParent() : systemClock
  const kind: Kind = env.SELVRIN_KIND === 'demo' ? 'demo' : 'house'
  const ready = await prepare(db, clock, { kind, strict: env.SELVRIN_STRICT === '1', fresh: env.SELVRIN_FRESH === '1' })

  if (env.SELVRIN_CHECKPOINTS === '1') {
    await rebuildCheckpoints(db, true)
    await db.close()
    return
  }
  if (env.SELVRIN_DEVICES) await pointSimulated(db, JSON.parse(env.SELVRIN_DEVICES) as Record<string, number>)

  // two tanks are on when the demo is opened first
  const [first] =
    ready.isNew && ready.kind === 'demo' && env.SELVRIN_EVENING !== 'off' ? await db.Person.findAll({ where: { login: 'ilse' } }) : []
  if (first) await db.transaction(() => beginEvening({ db, clock }, first.id, clock.now()))

  const options = {
    ...(env.WEB_DIR === undefined ? {} : { webDir: env.WEB_DIR }),
    ...(env.TRUST_PROXY === undefined || env.TRUST_PROXY === '' ? {} : { trustProxy: env.TRUST_PROXY }),
    sendsMail: env.SELVRIN_SMTP !== undefined && env.SELVRIN_SMTP !== '',
    hosts: [host, ...(env.HOSTNAMES ?? '').split(',')].map((name) => name.trim()).filter(Boolean),
  }
  const jobs = await startJobs(db, { weeks: spreadWeeks({ db, clock }, new URL('./weeks-thread.mjs', import.meta.url)) })
  // whoever waits has a day, or gets one
  await jobs.ask('weeks')
  const { app, close } = createApp({ db, clock, jobs }, options)
  const stopReading = readDevices({ db, clock })
  const stopSending = options.sendsMail
    ? sendingMail({ db, clock }, { url: env.SELVRIN_SMTP ?? '', from: env.SELVRIN_MAIL_FROM ?? 'darkroom@localhost' })
    : null
  const tls = env.TLS_CERT && env.TLS_KEY ? { cert: readFileSync(env.TLS_CERT), key: readFileSync(env.TLS_KEY) } : null
  const server = tls ? createHttps(tls, app) : createHttp(app)
  // whoever dawdles over a request does not keep a place for ever
  server.headersTimeout = 15_000
  server.requestTimeout = 120_000
  await new Promise<void>((resolve, reject) => server.once('error', reject).listen(port, host, resolve))

  const address = server.address()
  const actual = typeof address === 'object' && address ? address.port : port
  console.log(
    `\n  Selvrin (${ready.kind}) at ${tls ? 'https' : 'http'}://${host === '0.0.0.0' || host === '::' ? 'localhost' : host}:${actual}\n`,
  )
  if (ready.kind === 'demo')
    for (const person of demoSignIns) console.log(`  ${person.role.padEnd(10)} ${person.login} / ${person.password}`)
  if (ready.firstCode) console.log(`  First visit: make the first technician with the code ${ready.firstCode}`)
  console.log('\n  Ctrl-C stops it.\n')

  const stop = async () => {
    server.closeAllConnections()
    server.close()
    await stopSending?.()
    await jobs.close()
    await stopReading()
    await close()
    await db.close()
    process.exit(0)
  }
  for (const signal of ['SIGINT', 'SIGTERM'] as const) process.once(signal, () => void stop())
}

main().catch((error: unknown) => {
  const code = (error as { code?: string }).code
  if (error instanceof WrongKind || error instanceof TooNew || error instanceof WrongSetting) console.error(error.message)
  else if (code === 'EADDRINUSE')
    console.error(`Port ${process.env.PORT ?? 4780} is taken by another program. Choose another: PORT=4790 npm start`)
  else console.error(error)
  process.exit(2)
})
