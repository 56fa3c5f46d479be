import { connect } from 'node:net'
import { v7 as uuid } from 'uuid'
import { eventsOf, runAtClock, runPlanned } from './support/clock'
import { expect, signIn, test, type House } from './support/house'

/** Says a line to a device at the bench, as a hand would dip its probe elsewhere. */
async function tell(house: House, kind: 'thermometer' | 'bath', line: string): Promise<void> {
  const [device] = await house.ask<{ port: number }>(`select port from device where kind = $1`, [kind])
  await new Promise<void>((resolve, reject) => {
    const socket = connect(device?.port ?? 0, '127.0.0.1', () => socket.end(`${line}\n`, () => resolve()))
    socket.on('error', reject)
  })
}
/** What the run at the clock wants of its developer, °C. */
const wanted = async (house: House, id: string): Promise<number> =>
  (await house.ask<{ c: number }>(`select (plan->'steps'->0->>'temperatureC')::float8 as c from run where id = $1`, [id]))[0]?.c ?? 0

test('what the probe reads is written down by itself and moves the end of the step; in another liquid it is not believed', async ({
  page,
  house,
}) => {
  await signIn(page)
  const id = await runAtClock(page, house)
  const planned = await wanted(house, id)
  await tell(house, 'thermometer', `B ${planned + 1.2}`)
  await page.goto(`/tanks/${id}`)
  await expect(page.locator('[data-cue]')).toHaveText(/^Pour in/)
  await page.keyboard.press('Space')
  await page.getByRole('button', { name: /^Temperature/ }).click()
  await page.getByRole('button', { name: /stands in this bath/ }).click()
  await expect(page.getByText(/instead of .* by the chart .* ends .* earlier/)).toBeVisible({ timeout: 60_000 })
  await expect.poll(async () => (await eventsOf(house, id)).some((one) => one.kind === 'temperature')).toBe(true)
  const [read] = await house.ask<{ c: number }>(
    `select (event->>'celsius')::float8 as c from run_event where run_id = $1 and event->>'kind' = 'temperature'`,
    [id],
  )
  expect(Math.abs((read?.c ?? 0) - planned - 1.2)).toBeLessThan(0.4)
  // lifted out, it tells of the room
  await tell(house, 'thermometer', `B ${planned - 8}`)
  await expect(page.getByText(/does not stand in this bath, and is not believed/)).toBeVisible({ timeout: 60_000 })
  const readings = async () => (await eventsOf(house, id)).filter((one) => one.kind === 'temperature').length
  const before = await readings()
  await page.reload()
  await expect(page.getByText(/is not believed/)).toBeVisible()
  expect(await readings()).toBe(before)
})

test('a bath that is set for a run and not there yet is said before it begins and at its clock; one set for another run is not', async ({
  page,
  house,
}) => {
  await signIn(page)
  const id = await runPlanned(page, 'Tank 1')
  const planned = await wanted(house, id)
  await page.goto(`/tanks/${id}`)
  await expect(page.getByRole('heading', { name: 'Before the dark' })).toBeVisible()
  const said = page.getByText(/The tempering bath is at 37\.\d °C and this run wants/)
  const set = async (c: number) => {
    const [bath] = await house.ask<{ id: string }>(`select id from device where kind = 'bath'`)
    expect(
      (
        await page.request.post(`/api/devices/${bath?.id ?? ''}/set`, { data: { celsius: c }, headers: { 'idempotency-key': uuid() } })
      ).status(),
    ).toBe(200)
  }
  // the bath stands at 37.8 °C for colour: no business of this run
  await expect.poll(async () => (await house.ask(`select 1 from bath_reading`)).length).toBeGreaterThan(0)
  await expect(said).toHaveCount(0)
  await set(planned)
  await expect(said).toBeVisible()
  await page.getByRole('button', { name: /to the clock$/ }).click()
  await expect(page.locator('[data-cue]')).toHaveText(/^Pour in/)
  await expect(said).toBeVisible()
  await set(37.8)
  await expect(said).toHaveCount(0)
})
