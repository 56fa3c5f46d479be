import sharp from 'sharp'
import { cardPicture } from '../core/src/print/colour/cardPicture'
import { layersOf } from '../core/src/print/colour/ringAround'
import { madeUpPicture } from '../core/src/print/colour/scene'
import { choose, expect, signIn, test } from './support/house'
import { greenOrBluePixel, seriousFaults } from './support/look'

test('a colour print: its filters, a cast taken out, the same off a photograph beside a grey card, another batch of paper', async ({
  page,
}) => {
  test.setTimeout(180_000)
  await signIn(page)
  await page.goto('/trays/stock')
  await page.getByRole('button', { name: 'A new paper' }).click()
  await page.getByLabel('Name', { exact: true }).fill('Flood gloss')
  await choose(page, 'Prints', 'colours, from negatives')
  await page.getByRole('button', { name: 'Keep it' }).click()
  const paper = page.getByRole('article').filter({ hasText: 'Flood gloss' })
  const box = async (size: string, label: [string, string, string]) => {
    await paper.getByRole('button', { name: /^A box came in/ }).click()
    await page.getByLabel('Size').fill(size)
    await page.getByLabel('Sheets').fill('20')
    await page.getByLabel('Yellow').fill(label[0])
    await page.getByRole('button', { name: 'It came in' }).click()
    await expect(page.getByRole('alert')).toContainText('The label says yellow, magenta and a factor')
    await page.getByLabel('Magenta').fill(label[1])
    await page.getByLabel('Factor').fill(label[2])
    await page.getByRole('button', { name: 'It came in' }).click()
    await expect(page.getByRole('dialog')).toHaveCount(0)
  }
  await box('20 × 25', ['+5', '−10', '1.1'])
  await box('20 × 25.4', ['-5', '5', '0,95'])
  await expect(paper.getByText('its label +5 Y −10 M ×1.10')).toBeVisible()

  await page.getByRole('link', { name: '← Trays' }).click()
  await page.getByRole('button', { name: 'Begin a print' }).click()
  await page.getByLabel('Name', { exact: true }).fill('Lemons')
  await page.getByLabel('Negative').fill('roll C9, frame 3')
  await page.getByLabel('Picture on the paper').fill('20')
  await choose(page, 'Paper', /Flood gloss, 20 × 25 cm/)
  await choose(page, 'Enlarger', 'Under the beam')
  await page.getByRole('button', { name: 'Begin', exact: true }).click()
  await page.getByRole('button', { name: 'A strip', exact: true }).click()
  await page.getByLabel('Yellow').fill('900')
  await page.getByRole('button', { name: 'It is exposed' }).click()
  await expect(page.getByRole('alert')).toContainText('The filters are three numbers of 0 to 400')
  await page.getByLabel('Yellow').fill('60')
  await page.getByLabel('Middle band').fill('10')
  await page.getByRole('button', { name: 'It is exposed' }).click()
  await page.getByRole('list', { name: 'Bands' }).getByRole('button').nth(3).click()
  await page.getByRole('button', { name: 'Exposed, 10.0 s' }).click()

  // too red: into the filter, and its time
  const next = page.getByRole('list', { name: 'Tries' }).getByRole('listitem').filter({ hasText: 'next' })
  await page.getByRole('button', { name: 'red', exact: true }).click()
  await expect(next).toContainText('11.7 s')
  await expect(next).toContainText('70 Y 60 M')
  await page.getByRole('button', { name: 'plain 20' }).click()
  await expect(next).toContainText('80 Y 70 M')
  // cyan instead of red: what takes it away is not said as well
  await page.getByRole('button', { name: 'cyan', exact: true }).click()
  await expect(next).toContainText('50 Y 40 M')
  await expect(page.getByRole('button', { name: 'red', exact: true })).toHaveAttribute('aria-pressed', 'false')
  expect(await seriousFaults(page)).toEqual([])

  // a made-up photograph of a print that lacks 20 yellow and 10 magenta, under a yellowish lamp
  const lacks = { y: 20, m: 10 }
  const scene = madeUpPicture(1, { width: 600, height: 400 })
  const shot = cardPicture(scene, layersOf({ lacks, factor: 1, material: 'negative' }), { seed: 3, tint: { r: 1, g: 0.95, b: 0.7 } })
  const raw = { width: shot.width, height: shot.height, channels: 4 as const }
  const png = await sharp(Buffer.from(shot.rgba.buffer), { raw }).png().toBuffer()
  await page.getByRole('button', { name: 'Beside a grey card' }).click()
  await page.getByLabel('Photograph print and card').setInputFiles({ name: 'print.png', mimeType: 'image/png', buffer: png })
  const picture = page.getByRole('img', { name: 'The photograph' })
  const mark = async (area: { x: number; y: number; width: number; height: number }) => {
    const on = await picture.boundingBox()
    if (!on) throw new Error('no picture')
    const at = (x: number, y: number) => [on.x + (x * on.width) / shot.width, on.y + (y * on.height) / shot.height] as const
    await page.mouse.move(...at(area.x, area.y))
    await page.mouse.down()
    await page.mouse.move(...at(area.x + area.width, area.y + area.height), { steps: 4 })
    await page.mouse.up()
  }
  await picture.scrollIntoViewIfNeeded()
  await mark(shot.card)
  await page.getByRole('button', { name: 'Grey in the print' }).click()
  await picture.scrollIntoViewIfNeeded()
  await mark(shot.print)
  const read = page.getByRole('dialog').getByRole('status')
  await expect(read).toHaveText(/^\+(1[89]|2[0-2]) Y \+(8|9|1[0-2]) M: too red/)
  const [, y, m] = /\+(\d+) Y \+(\d+) M/.exec((await read.textContent()) ?? '') ?? []
  await page.getByRole('button', { name: 'Take it' }).click()
  await expect(next).toContainText(`${60 + Number(y)} Y ${50 + Number(m)} M`)
  await page.getByRole('button', { name: /^by its photograph/ }).click()

  // another batch: its label instead of the old one, and its time
  await page.getByRole('button', { name: 'Another size or paper' }).click()
  await choose(page, 'Paper', /Flood gloss, 20 × 25\.4 cm/)
  await page.getByRole('button', { name: 'Work it out' }).click()
  await expect(next).toContainText('50 Y 65 M')
  await expect(next).toContainText('batch label ×1.04')
  await expect(next).toContainText('10.4 s')
})

test('the trainer hides casts and scores what is dialled out; a ring-around is shown in white light only', async ({ page, house }) => {
  await signIn(page, 'tilda')
  await page.goto('/trays/trainer')
  await expect(page.getByRole('img', { name: /as it should be/ })).toBeVisible()
  await page.getByRole('group', { name: 'Yellow' }).getByRole('button', { name: '+5 Yellow' }).click()
  await page.getByRole('button', { name: 'Print it' }).click()
  await expect(page.getByText(/print 2 through 95 Y 80 M/)).toBeVisible()
  // a page that is loaded again goes on with its round
  await page.reload()
  await expect(page.getByText(/print 2 through 95 Y 80 M/)).toBeVisible()
  expect(await seriousFaults(page)).toEqual([])
  await page.getByRole('button', { name: 'It is right' }).click()
  await expect(page.getByText(/^It was too (yellow|magenta|cyan|red|green|blue):/)).toBeVisible()
  const [round] = await house.ask<{ score: string; rest: string }>('select score, rest from cast_round')
  await expect(page.getByText(`${Math.round(Number(round?.score))} of 100`)).toBeVisible()
  await page.reload()
  await expect(page.getByRole('heading', { name: 'Your rounds' })).toBeVisible()
  await page.keyboard.press('l')
  await expect(page.getByText('Colours are judged in white light')).toBeVisible()
  await expect.poll(() => greenOrBluePixel(page)).toBeNull()
})

test('a ring-around comes off the photograph of a print', async ({ page, house }) => {
  await signIn(page)
  const [sheet] = await house.ask<{ id: string }>(`select id from sheet where title = 'Breakfast in the loft'`)
  await page.goto(`/trays/prints/${sheet?.id}`)
  await page.getByRole('link', { name: 'Its ring-around' }).click()
  await expect(page.getByRole('list', { name: 'yellow to blue' }).getByRole('button')).toHaveCount(7)
  await page.getByRole('button', { name: /yellow 20/ }).click()
  await expect(page.getByText('yellow 20: +20 Y')).toBeVisible()
  expect(await seriousFaults(page)).toEqual([])
})
