// A season's orders, handed in through the interface of a running server, and spread over the coming weeks by its job queue.
import { v7 as uuid } from 'uuid'
import { draws } from './evenings.mjs'

const dayMs = 86_400_000

/** Orders of a season: most of one or two rolls, two in three with a date within the four weeks, some of somebody's only negatives, some not there yet. */
export async function handIn(house, count) {
  const { version, ...body } = await house.get('/api/room')
  await house.put('/api/room', { version, ...body, hands: 2, closures: [] })
  const random = draws(1)
  const int = (most) => Math.floor(random() * most)
  const { charted } = await house.get('/api/orders/choices')
  const people = (await house.get('/api/people')).rows.filter((one) => one.active !== false)
  const processes = (await house.get('/api/processes')).rows
  const negative = processes.find((one) => /black-and-white negative/i.test(one.body.name)) ?? processes[0]
  const films = charted.filter((one, i) => charted.findIndex((other) => other.film === one.film && other.ei === one.ei) === i)
  const now = Date.now()
  for (let i = 0; i < count; i++) {
    const { film, ei } = films[int(films.length)]
    const earliest = int(5) === 0 ? now + (1 + int(14)) * dayMs : null
    const from = earliest ?? now
    const wantedBy = int(3) > 0 ? from + (2 + int(Math.max(1, Math.floor((now + 27 * dayMs - from) / dayMs)))) * dayMs : null
    await house.post('/api/orders', {
      ...{ id: uuid(), memberId: people[int(people.length)].id, film, ei, format: '135-36', count: int(4) === 0 ? 2 : 1, pushStops: 0 },
      ...{ processId: negative.id, developer: null, earliest, wantedBy, present: false, critical: int(12) === 0, note: '' },
    })
  }
}

/** Has them spread anew once all that was asked for before is done; how long from asking until every order has its day, and what came of it. */
export async function spreadAnew(house) {
  const settled = async (since) => {
    for (;;) {
      const weeks = await house.get('/api/weeks')
      if (weeks.state === 'failed') throw new Error(weeks.error)
      if (weeks.state === 'done' && weeks.finishedAt >= since) return weeks
      await new Promise((again) => setTimeout(again, 100))
    }
  }
  // what the handing-in itself asked for is done first: it begins after a few seconds
  const { askedAt: first } = JSON.parse((await house.post('/api/weeks', {})).toString())
  await settled(first)
  const began = performance.now()
  const { askedAt } = JSON.parse((await house.post('/api/weeks', {})).toString())
  const weeks = await settled(askedAt)
  return { seconds: (performance.now() - began) / 1000, weeks }
}
