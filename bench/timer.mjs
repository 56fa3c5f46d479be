// node bench/timer.mjs [--strips 3]: how far the enlarger's timer is from its plan, through the real page and the real server, with the processor slowed down four times: each sound
// on the audio clock against when it was planned, and the simulated lamp's own on-time against the seconds it was told.
import { chmodSync, mkdtempSync, rmSync } from 'node:fs'
import { connect } from 'node:net'
import { cpus, tmpdir } from 'node:os'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import pg from 'pg'
import { chromium } from 'playwright-core'
import { startDevices } from '../devices/start.mjs'
import { build } from '../scripts/lib/build.mjs'
import { chromium as chromiumPath } from '../scripts/lib/install.mjs'
import { isRoot, root } from '../scripts/lib/place.mjs'
import { startPostgres } from '../scripts/lib/postgres.mjs'
import { bundle, median, p95, serve } from './lib/house.mjs'

const asked = process.argv.indexOf('--strips')
const strips = asked < 0 ? 3 : Number(process.argv[asked + 1])
const allowedMs = 20
const slowdown = 4
const guessS = '6'
/** s around a sound in which the audio clock's word of itself is taken for its own */
const aroundMs = 15_000

const folder = mkdtempSync(join(tmpdir(), 'selvrin-timer-'))
chmodSync(folder, 0o755)

/** Core as it is, for what an exposure's plan calls and when. */
async function core() {
  const { build: esbuild } = await import('esbuild')
  const outfile = join(folder, 'core.mjs')
  const of = { bundle: true, format: 'esm', platform: 'node', logLevel: 'warning' }
  await esbuild({ entryPoints: [join(root, 'core/src/index.ts')], outfile, ...of })
  return import(pathToFileURL(outfile).href)
}

/** In the page: when each sound was put on the audio clock, and what that clock says of itself. */
const listening = () => {
  globalThis.tones = []
  globalThis.words = []
  globalThis.begun = []
  // the page writes down when the lamp goes on, 1.2 s before it does: by its own clock, which is the server's; here by the monotonic one
  const { setItem } = globalThis.Storage.prototype
  globalThis.Storage.prototype.setItem = function (key, text) {
    if (key.startsWith('selvrin.timer.') && JSON.parse(text).onAt !== null) globalThis.begun.push(performance.now() + 1200)
    return setItem.call(this, key, text)
  }
  const { start, stop } = globalThis.OscillatorNode.prototype
  let clock = null
  globalThis.OscillatorNode.prototype.start = function (when) {
    const tone = { when, calledOff: false }
    this.tone = tone
    globalThis.tones.push(tone)
    if (clock === null)
      setInterval(() => {
        const { contextTime, performanceTime } = clock.getOutputTimestamp()
        if (performanceTime > 0) globalThis.words.push({ at: performanceTime, aheadMs: contextTime * 1000 - performanceTime })
      }, 500)
    clock = this.context
    return start.call(this, when)
  }
  globalThis.OscillatorNode.prototype.stop = function (when) {
    if (when === undefined) this.tone.calledOff = true
    return stop.call(this, when)
  }
}

/** What the lamp says of each time it was on, as it goes off. */
function followLamp(port) {
  const lit = []
  let on = false
  let rest = ''
  const socket = connect({ host: '127.0.0.1', port }).setEncoding('latin1')
  socket.on('data', (text) => {
    const parts = (rest + text).split('\n')
    rest = parts.pop() ?? ''
    for (const line of parts) {
      if (on && line.startsWith('ST')) lit.push(Number(/lit([+-][\d.]+)/.exec(line)?.[1]))
      on = line.startsWith('US')
    }
  })
  return { lit, stop: () => socket.destroy() }
}

const postgres = await startPostgres(folder, { throwaway: true })
const devices = await startDevices({ anyPort: true })
let house
let browser
let lamp
try {
  await build()
  const maker = new pg.Client({ connectionString: `${postgres.url}/postgres` })
  await maker.connect()
  await maker.query('create database bench_timer')
  await maker.end()
  Object.assign(process.env, { WEB_DIR: join(root, 'web/dist'), SELVRIN_DEVICES: devices.env.SELVRIN_DEVICES })
  house = await serve(await bundle(root), `${postgres.url}/bench_timer`)
  const { timerCues, timerSteps, stripAround } = await core()
  lamp = followLamp(devices.ports.lamp)

  browser = await chromium.launch({
    executablePath: chromiumPath(),
    args: ['--mute-audio', '--autoplay-policy=no-user-gesture-required', ...(isRoot ? ['--no-sandbox'] : [])],
  })
  const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage()
  const [name, value] = house.cookie.split('=')
  await page.context().addCookies([{ name, value, url: house.address }])
  await page.addInitScript(listening)
  const told = []
  page.on('request', (request) => request.url().endsWith('/light') && told.push(request.postDataJSON().seconds))
  const { sheets, enlargers } = await house.get('/api/trays')
  const relayed = enlargers.find((one) => one.relayId !== undefined)
  const sheet = sheets.find((one) => one.setup.enlargerId === relayed.id)
  await (await page.context().newCDPSession(page)).send('Emulation.setCPUThrottlingRate', { rate: slowdown })

  const steps = timerSteps(stripAround(Number(guessS), { kind: 'none' }), relayed.lagS)
  const offs = []
  for (let strip = 0; strip < strips; strip++) {
    await page.goto(`${house.address}/trays/prints/${sheet.id}`)
    await page.getByRole('button', { name: 'Strip again' }).click()
    await page.getByLabel('Middle band').fill(guessS)
    await page.getByRole('dialog').getByRole('button', { name: 'Count it out' }).click()
    await page.locator('[data-left]').waitFor()
    for (const i of steps.keys()) {
      await page.keyboard.press('Space')
      await page.waitForFunction((n) => globalThis.begun.length === n, i + 1)
      await page.waitForFunction(
        ([id, n]) => {
          const now = JSON.parse(globalThis.sessionStorage.getItem(`selvrin.timer.${id}`) ?? '{}')
          return now.at === n && now.onAt === null
        },
        [sheet.id, i + 1],
        { timeout: 60_000 },
      )
    }
    const { tones, words, begun } = await page.evaluate(() => ({
      tones: globalThis.tones,
      words: globalThis.words,
      begun: globalThis.begun,
    }))
    const heard = tones
      .filter((tone) => !tone.calledOff)
      .map(({ when }) => {
        const at = when * 1000
        return at - median(words.filter((one) => Math.abs(one.at + one.aheadMs - at) < aroundMs).map((one) => one.aheadMs))
      })
    for (const [i, step] of steps.entries())
      for (const { atS } of timerCues(step, 'seconds')) {
        const at = begun[i] + atS * 1000
        offs.push(heard.reduce((best, one) => (Math.abs(one - at) < Math.abs(best) ? one - at : best), Infinity))
      }
    await page.getByRole('button', { name: 'Into the developer: write it down' }).click()
    await page.getByRole('heading', { name: sheet.title }).waitFor()
  }
  const sizes = offs.map(Math.abs)
  const lampOff = lamp.lit.map((s, i) => Math.abs(s - Number(told[i].toFixed(2))) * 1000)
  console.log(`\n${strips} strips of ${steps.length} exposures, processor slowed ${slowdown}×, ${cpus().length} × ${cpus()[0].model}`)
  console.log(
    `  sounds           ${sizes.length}, off by at most ${Math.max(...sizes).toFixed(1)} ms of ${allowedMs} allowed, median ${median(sizes).toFixed(1)}, 95 of 100 ${p95(sizes).toFixed(1)} ms`,
  )
  console.log(
    `  lamp             ${lamp.lit.length} of ${told.length} exposures, its own on-time off by at most ${Math.max(...lampOff).toFixed(1)} ms, median ${median(lampOff).toFixed(1)} ms`,
  )
  if (Math.max(...sizes, ...lampOff) > allowedMs || lamp.lit.length !== told.length) process.exitCode = 1
} finally {
  lamp?.stop()
  await browser?.close()
  await house?.stop()
  devices.stop()
  await postgres.stop()
  rmSync(folder, { recursive: true, force: true, maxRetries: 5, retryDelay: 200 })
}
