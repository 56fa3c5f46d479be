import { PNG } from 'pngjs'
import { testPicture } from '../core/src/proof/testPicture'
import { choose, expect, signIn, test } from './support/house'
import { seriousFaults } from './support/look'

const picture = (ask: Parameters<typeof testPicture>[0]) => {
  const made = testPicture(ask)
  const png = new PNG({ width: made.width, height: made.height })
  png.data = Buffer.from(made.rgba.buffer)
  return { ...made, file: { name: 'scraps.png', mimeType: 'image/png', buffer: PNG.sync.write(png) } }
}

test('the shelf: found by code, one tap and its undo, dragged to another shelf and to the sink, all seen by a second browser', async ({
  page,
  browser,
  house,
}) => {
  test.setTimeout(120_000)
  await signIn(page)
  const [fixer] = await house.ask<{ id: string; code: string; label: string }>(
    `select b.id, b.code, b.letter || b.number as label from bottle b join formula_version v on v.id = b.formula_version_id
     where v.body ->> 'name' = 'Neutral rapid fixer' and b.retired_at is null order by b.made_at desc limit 1`,
  )
  const label = fixer?.label ?? ''
  const other = await (await browser.newContext({ baseURL: house.url })).newPage()
  await signIn(other, 'odo')

  await test.step('by family and by code', async () => {
    await choose(page, 'Family', 'Fixers')
    await expect(page.getByRole('heading', { name: 'Film developers' })).toBeHidden()
    await page.getByLabel('Label or code').fill(fixer?.code.toLowerCase() ?? '')
    await expect(page.locator('[data-bottle]')).toHaveCount(1)
    await page.getByLabel('Label or code').press('Enter')
    await expect(page.getByRole('heading', { name: label, level: 1 })).toBeVisible()
    await page.goto('/shelf')
  })

  await test.step('two rolls poured back with one tap, seen over there, and undone', async () => {
    const rolls = async () =>
      Number(
        (
          await house.ask<{ n: string }>(
            `select coalesce(sum((t ->> 'equivalents')::numeric), 0) as n from bottle_entry e cross join jsonb_array_elements(e.throughput) t where bottle_id = $1 and reverses is null and not exists (select from bottle_entry r where r.reverses = e.id)`,
            [fixer?.id],
          )
        )[0]?.n,
      )
    const before = await rolls()
    await other.goto(`/shelf/${fixer?.id}`)
    await expect(other.getByText('so far')).toBeVisible()
    await page.getByRole('button', { name: `${label}: poured back, 2 rolls` }).click()
    await expect(page.getByText(`${label}: poured back, 2 rolls.`)).toBeVisible()
    expect(await rolls()).toBe(before + 2)
    await expect(other.getByText(`${before + 2} rolls so far`)).toBeVisible()
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(page.getByText(`${label}: poured back, 2 rolls.`)).toBeHidden()
    expect(await rolls()).toBe(before)
    await expect(other.getByText(`${before} rolls so far`)).toBeVisible()
  })

  await test.step('dragged to the cold cupboard: the ledger says so', async () => {
    await page.setViewportSize({ width: 1280, height: 3200 })
    const bottle = page.locator(`[data-bottle="${fixer?.id}"] .tape`)
    const cold = page.getByRole('region', { name: 'Cold cupboard' }).getByRole('list')
    const [from, to] = [await bottle.boundingBox(), await cold.boundingBox()]
    if (!from || !to) throw new Error('nothing to drag')
    await page.mouse.move(from.x + 40, from.y + 40)
    await page.mouse.down()
    await page.mouse.move(from.x + 60, from.y + 80, { steps: 4 })
    await page.mouse.move(to.x + 60, to.y + 60, { steps: 8 })
    // let go when the shelf has taken it up
    await expect(cold.locator(`[data-bottle="${fixer?.id}"]`)).toBeVisible()
    await page.mouse.up()
    await expect(page.getByRole('region', { name: 'Cold cupboard' }).locator(`[data-bottle="${fixer?.id}"]`)).toBeVisible()
    await expect(other.getByText('to Cold cupboard')).toBeVisible()
    await expect(other.getByText('At 12.0 °C')).toBeVisible()
  })

  await test.step('dragged to the sink: asked why, then it is waste', async () => {
    const [stop] = await house.ask<{ id: string; label: string }>(
      `select id, letter || number as label from bottle where letter = 'S' and retired_at is null order by made_at limit 1`,
    )
    const bottle = page.locator(`[data-bottle="${stop?.id}"] .tape`)
    const sink = page.locator('[data-shelf="sink"]')
    const from = await bottle.boundingBox()
    if (!from) throw new Error('nothing to drag')
    await page.mouse.move(from.x + 40, from.y + 40)
    await page.mouse.down()
    await page.mouse.move(from.x + 60, from.y + 70, { steps: 4 })
    // shelves on the way make room and give it back, so the sink moves: the hand follows it
    await expect(async () => {
      const to = await sink.boundingBox()
      if (!to) throw new Error('no sink')
      await page.mouse.move(to.x + 200, to.y + 30, { steps: 4 })
      await expect(sink.locator('[data-bottle]')).toBeVisible({ timeout: 500 })
    }).toPass({ timeout: 10_000 })
    await page.mouse.up()
    await expect(page.getByRole('dialog')).toContainText(`Retire ${stop?.label}`)
    await page.getByLabel('Why?').fill('smells of sulfur')
    await page.getByRole('button', { name: `Retire ${stop?.label}` }).click()
    await expect(page.locator(`[data-bottle="${stop?.id}"]`)).toHaveCount(0)
    await page.setViewportSize({ width: 1280, height: 800 })
    await page.goto('/sink/lines')
    await expect(page.getByText('smells of sulfur')).toBeVisible()
    await page.goto('/shelf/supply')
    await expect(page.getByRole('heading', { name: 'Shopping list' })).toBeVisible()
    expect(await seriousFaults(page)).toEqual([])
  })
})

test('a guided clearing test: stopwatch, verdict beside the fresh reading, fixing time carried into the next plan; a failure marks films and tells members', async ({
  page,
  browser,
  house,
}) => {
  test.setTimeout(150_000)
  const [fixer] = await house.ask<{ id: string; label: string }>(
    `select b.id, b.letter || b.number as label from bottle b join formula_version v on v.id = b.formula_version_id
     where v.body ->> 'name' = 'Neutral rapid fixer' and b.retired_at is null and exists (select from bottle_entry e where e.bottle_id = b.id and e.run_id is not null) order by b.made_at desc limit 1`,
  )
  const label = fixer?.label ?? ''
  await signIn(page)
  await page.keyboard.press('4')
  await expect(page.getByRole('heading', { name: 'Proofs', level: 1 })).toBeVisible()
  await choose(page, 'Bottle', new RegExp(`^${label} `))
  await page.getByRole('link', { name: 'Clearing time' }).last().click()

  await test.step('led through with the stopwatch on the space bar', async () => {
    await expect(page.getByText('Used fixer goes into the silver drum')).toBeVisible()
    expect(await seriousFaults(page)).toEqual([])
    await page.keyboard.press('Space')
    await page.keyboard.press('Space')
    await expect(page.getByText('Drop the scrap in and swirl.')).toBeVisible()
    await page.keyboard.press('Space')
    await expect(page.getByRole('timer')).toContainText('0:01')
    await page.keyboard.press('Space')
    await page.getByRole('button', { name: 'Done, read it' }).click()
    await expect(page.getByLabel('Clearing time, s', { exact: true })).toHaveValue(/^[1-3](\.\d)?$/)
  })

  await test.step('the verdict follows what is typed; nonsense is said and loses nothing', async () => {
    await page.getByLabel('Clearing time, s', { exact: true }).fill('soon')
    await expect(page.getByText('This cannot be read')).toBeVisible()
    await page.getByLabel('Clearing time, s', { exact: true }).fill('84')
    await page.getByLabel('Its temperature').fill('20.4')
    await choose(page, 'Read with', 'Spirit thermometer, blue')
    await expect(page.getByText('20.4 °C on it is 20.0 °C')).toBeVisible()
    // the film of the fresh scrap is offered and named; another film is held against it as what it is
    await expect(page.getByText('As the fresh scrap was: change it if this one is another film.')).toBeVisible()
    await choose(page, 'Kind of film', /Tabular grain/)
    await expect(page.getByText(/53 s at the fresh reading’s 20 °C and with its kind of film/)).toBeVisible()
    await choose(page, 'Kind of film', 'Ordinary')
    await expect(page.getByText('Keep', { exact: true })).toBeVisible()
    await expect(page.getByText('1.24 times the fresh 68 s')).toBeVisible()
    await page.getByRole('button', { name: 'Write it down' }).click()
    await expect(page.getByText('Fix 168 s at the temperature')).toBeVisible()
    await expect(page.getByText(/About \d+ rolls left by this trend/)).toBeVisible()
  })

  await test.step('a failure names the runs, marks the films, stands in the way of the bottle', async () => {
    const [run] = await house.ask<{ id: string; member: string; login: string }>(
      `select r.id, o.member_id as member, p.login from run r join roll o on o.run_id = r.id join person p on p.id = o.member_id
       where not exists (select from bottle_entry e where e.run_id = r.id and e.bottle_id = $1) order by r.number desc limit 1`,
      [fixer?.id],
    )
    await house.ask(
      `insert into bottle_entry (id, bottle_id, kind, at, ml, throughput, run_id) select $2, $1, 'use', max(at) + interval '1 second', -10, '[{"kind": "bw-roll", "equivalents": 1}]', $3 from proof where bottle_id = $1`,
      [fixer?.id, '019f0000-0000-7000-8000-000000000001', run?.id],
    )
    await page.getByRole('button', { name: 'Test it again' }).click()
    await page.getByRole('button', { name: /skip to it/ }).click()
    // what no fixer does is asked for again
    await page.getByLabel('Clearing time, s', { exact: true }).fill('8')
    await expect(page.getByText(/cannot be: another bottle/)).toBeVisible()
    await expect(page.getByRole('button', { name: 'Write it down' })).toBeDisabled()
    await page.getByLabel('Clearing time, s', { exact: true }).fill('2:24')
    await expect(page.getByText('Failed', { exact: true })).toBeVisible()
    await page.getByRole('button', { name: 'Write it down' }).click()
    await expect(page.getByRole('heading', { name: 'Films that went through it since its last good test' })).toBeVisible()
    await expect(page.getByText('They can be refixed in fresh fixer')).toBeVisible()
    expect(await seriousFaults(page)).toEqual([])
    await page.goto(`/shelf/${fixer?.id}`)
    await expect(page.getByText(/It failed a test/)).toBeVisible()
    await page.getByRole('button', { name: 'Pour, top up' }).click()
    await page.getByLabel('How much').fill('50 ml')
    await page.getByRole('button', { name: 'Write it down' }).click()
    await expect(page.getByText('should not be used').last()).toBeVisible()
    await page.getByLabel('Why it is used all the same').fill('to fix test strips')
    await page.getByRole('button', { name: 'Write it down' }).click()
    await expect(page.getByText('to fix test strips')).toBeVisible()
    // what is poured out of it into another bottle asks the same
    const [other] = await house.ask<{ id: string }>(
      `select b.id from bottle b join bottle_checkpoint c on c.bottle_id = b.id
       where b.letter = 'F' and b.retired_at is null and b.id <> $1 and c.ml between 1 and b.size_ml - 60 order by b.number limit 1`,
      [fixer?.id],
    )
    await page.goto(`/shelf/${other?.id}`)
    await page.getByRole('button', { name: 'Pour, top up' }).click()
    await choose(page, 'What was done', 'Topped up')
    await choose(page, 'From', new RegExp(`^${fixer?.label} `))
    await page.getByLabel('How much').fill('20 ml')
    await page.getByRole('button', { name: 'Write it down' }).click()
    await page.getByLabel('Why it is used all the same').fill('both are for test strips')
    await page.getByRole('button', { name: 'Write it down' }).click()
    // what the liquid failed goes along, the reason stands where it came from
    await expect(page.getByText(/It failed a test/)).toBeVisible()
    await page.goto(`/shelf/${fixer?.id}`)
    await expect(page.getByText('both are for test strips')).toBeVisible()
    const member = await (await browser.newContext({ baseURL: house.url })).newPage()
    await signIn(member, run?.login)
    await member.goto('/films')
    await expect(member.getByRole('list', { name: 'Told to you' })).toContainText('failed a test')
    await member.getByRole('button', { name: 'I have seen it' }).first().click()
    await expect(member.getByText('To look at.').first()).toBeVisible()
  })

  await test.step('critical films want every bath tested the same day, or a reason', async () => {
    await page.goto('/tanks/plan')
    await choose(page, 'Film', 'Millrace 400')
    await choose(page, 'Owner of film 1', 'Nell Saltmarsh')
    await expect(page.getByRole('heading', { name: 'Beakers, in order' })).toBeVisible()
    await page.getByRole('switch', { name: /only negatives/ }).click()
    await expect(page.getByText(/is to be tested before these films/).first()).toBeVisible()
    await page.getByLabel(/Overrule it all the same/).fill('the member wants them now')
    await page.getByRole('button', { name: 'To the beakers' }).click()
    await expect(page).toHaveURL(/\/tanks\/[0-9a-f-]{36}$/)
  })
})

test('densities off a photograph: marked by pointer and keys, read to ±0.03, a burnt-out light refused, the picture kept with the test', async ({
  page,
  house,
}) => {
  test.setTimeout(90_000)
  const [developer] = await house.ask<{ id: string }>(
    `select b.id from bottle b join formula_version v on v.id = b.formula_version_id where v.body ->> 'name' = 'Soft borax developer' and b.retired_at is null order by b.made_at desc limit 1`,
  )
  await signIn(page)
  await page.goto(`/proofs/scrap-density/${developer?.id}`)
  await page.getByRole('button', { name: /skip to it/ }).click()
  const input = page.locator('input[type=file]')
  await input.setInputFiles({ name: 'note.png', mimeType: 'image/png', buffer: Buffer.from('no picture at all') })
  await expect(page.getByText('This is no picture that can be opened')).toBeVisible()
  const good = picture({ width: 900, height: 600, densities: [1.2, 0.96, 0.2], seed: 11 })
  await input.setInputFiles(good.file)
  const canvas = page.getByRole('img', { name: 'The photograph' })
  await expect(canvas).toBeVisible()
  const mark = async (name: string, area: { x: number; y: number; width: number; height: number }) => {
    await page.getByRole('button', { name, exact: true }).click()
    const box = await canvas.boundingBox()
    if (!box) throw new Error('no picture')
    const at = (x: number, y: number) => [box.x + (x / good.width) * box.width, box.y + (y / good.height) * box.height] as const
    await page.mouse.move(...at(area.x, area.y))
    await page.mouse.down()
    await page.mouse.move(...at(area.x + area.width, area.y + area.height), { steps: 4 })
    await page.mouse.up()
  }
  const markAll = async () => {
    // no verdict and nothing to write down before every area is marked
    await expect(page.getByText('Still to mark: empty light, clear film, fresh reference, new scrap.')).toBeVisible()
    await expect(page.getByRole('button', { name: 'Write it down' })).toBeDisabled()
    await mark('Empty light', good.empty)
    await mark('Fresh reference', good.patches[0]?.area ?? good.empty)
    await mark('New scrap', good.patches[1]?.area ?? good.empty)
    await mark('Clear film', good.patches[2]?.area ?? good.empty)
  }
  await markAll()
  await expect(page.getByText('Approximate: no wedge')).toBeVisible()
  await page.getByLabel('Developed at').fill('20')
  // a key moves it finely and the reading follows
  await page.getByRole('button', { name: 'New scrap', exact: true }).press('Alt+ArrowLeft')
  await expect
    .poll(async () => Math.abs(Number(await page.getByLabel('Density of the new scrap, D').inputValue()) - 0.96))
    .toBeLessThan(0.03)
  expect(Math.abs(Number(await page.getByLabel(/Density of the fresh scrap/).inputValue()) - 1.2)).toBeLessThan(0.03)
  await expect(page.getByText('Marginal', { exact: true })).toBeVisible()
  expect(await seriousFaults(page)).toEqual([])
  await input.setInputFiles(picture({ width: 900, height: 600, densities: [1.2, 0.96, 0.2], lightLevel: 1.3 }).file)
  await markAll()
  await expect(page.getByText('The empty light is burnt out')).toBeVisible()
  // nothing of the picture before it is left to be written down
  await expect(page.getByText('Marginal', { exact: true })).toBeHidden()
  await expect(page.getByRole('button', { name: 'Write it down' })).toBeDisabled()
  await input.setInputFiles(good.file)
  await markAll()
  await expect(page.getByText('The empty light is burnt out')).toBeHidden()
  await expect(page.getByText('Marginal', { exact: true })).toBeVisible()
  // over a slow line it is seen how far the picture is, and it can be stopped: then nothing is written
  const tests = async () => (await house.ask<{ n: string }>('select count(*) as n from proof'))[0]?.n
  const before = await tests()
  const line = await page.context().newCDPSession(page)
  const slow = (kBps: number) =>
    line.send('Network.emulateNetworkConditions', { offline: false, latency: 0, downloadThroughput: -1, uploadThroughput: kBps * 1000 })
  await line.send('Network.enable')
  await slow(1)
  await page.getByRole('button', { name: 'Write it down' }).click()
  await expect(page.getByText('Sending the picture …')).toBeVisible()
  await page.getByRole('button', { name: 'Stop', exact: true }).click()
  await expect(page.getByText('Stopped: nothing was sent, and what you typed is still here.')).toBeVisible()
  await expect(page.getByLabel('Developed at')).toHaveValue('20')
  expect(await tests()).toBe(before)
  await slow(100_000)
  await page.getByRole('button', { name: 'Write it down' }).click()
  await expect(page.getByText('To be tested again')).toBeVisible()
  const kept = await house.ask<{ type: string; size: number }>('select type, octet_length(bytes) as size from proof_picture')
  expect([kept.length, kept[0]?.type, (kept[0]?.size ?? 0) > 1000]).toEqual([1, 'image/jpeg', true])
})

test('control strips, lamps, thermometers and the rules: each proven and changed where it stands', async ({ page, house }) => {
  await signIn(page)
  await page.goto('/proofs')
  await page.getByRole('link', { name: 'Film in soft borax 1+1, 20 °C' }).click()
  await expect(page.getByText('Contrast is falling: the developer is exhausted or too cold.')).toBeVisible()
  expect(await seriousFaults(page)).toEqual([])
  for (const [field, value] of [
    ['Base + fog', '0.24'],
    ['Low step', '0,46'],
    ['High step', '1.32'],
    ['Maximum', '2.05'],
  ] as const)
    await page.getByRole('textbox', { name: field }).fill(value)
  await page.getByRole('button', { name: 'Read it in' }).click()
  await expect.poll(async () => (await house.ask(`select id from proof where kind = 'control-strip'`)).length).toBe(17)
  await expect(page.getByText('Stop: nothing more goes through')).toBeHidden()

  await page.goto('/proofs/instruments')
  await page.getByRole('button', { name: 'Coin test This screen in safelight' }).click()
  await choose(page, 'The shortest time', '4 min')
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByText('safe for 2 min')).toBeVisible()
  await page.getByRole('button', { name: 'Compare Dial thermometer' }).click()
  await page.getByLabel('In stirred ice water it reads').fill('1.2')
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByText('1.2 °C on it is 0.0 °C')).toBeVisible()

  await page.goto('/proofs/rules')
  await page.getByRole('button', { name: 'Change: Stop baths, Stop bath indicator' }).click()
  await page.getByLabel('After days without it').fill('seven')
  await page.getByRole('button', { name: 'Keep the rule' }).click()
  await expect(page.getByText('Write the days as a whole number.')).toBeVisible()
  await page.getByLabel('After days without it').fill('7')
  await page.getByRole('button', { name: 'Keep the rule' }).click()
  await expect(page.getByText(/After 7 days/)).toBeVisible()
})
