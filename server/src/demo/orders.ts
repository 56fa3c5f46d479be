import { dayMs, houseIds, type OrderWish } from '@selvrin/core'
import { v7 as uuid } from 'uuid'
import type { Database } from '../table/database'

const hourMs = dayMs / 24

type Process = keyof typeof houseIds
/** Who brought what, hours ago; hours until it is wanted, null where there is no hurry. */
const brought: [
  login: string,
  hoursAgo: number,
  wantedIn: number | null,
  wish: Partial<Omit<OrderWish, 'processId'>> & { process?: Process },
][] = [
  ['bram', 50, 30, { film: 'Millrace 400', ei: 400 }],
  ['tilda', 49, 30, { film: 'Millrace 400', ei: 400 }],
  ['huw', 27, 54, { film: 'Millrace 100', ei: 100, count: 3 }],
  ['mina', 26, null, { film: 'Millrace 100', ei: 100, note: 'No hurry, but please no clips on the first frame.' }],
  ['nell', 25, 31, { film: 'Millrace 400', ei: 800, count: 2, pushStops: 1 }],
  ['jory', 24, 30, { film: 'Harbour colour 200', ei: 200, process: 'colour-negative', count: 2 }],
  [
    'ansa',
    23,
    78,
    { film: 'Harbour slide 100', ei: 100, process: 'slide-three', critical: true, note: 'The only pictures of the launch.' },
  ],
  ['lotte', 5, 30, { film: 'Millrace 100', ei: 100, format: '120' }],
  ['wanda', 4, null, { film: 'Harbour colour 200', ei: 200, process: 'colour-negative' }],
  ['otis', 3, 29, { film: 'Millrace 400', ei: 400, present: true }],
  ['nell', 2.8, 30, { film: 'Millrace 400', ei: 400, critical: true, note: 'The sister’s wedding.' }],
  ['corin', 2.5, 30, { film: 'Lantern 3200', ei: 3200, count: 2, note: 'By lamplight: the chart has it at 24 °C only.' }],
  ['tilda', 2, 30, { film: 'Harbour slide 100', ei: 100, process: 'slide-three' }],
  ['bram', 1.5, 29, { film: 'Millrace 100', ei: 100 }],
]
/** What will be brought in the coming weeks, days from now. */
const toCome: [login: string, inDays: number, wish: (typeof brought)[0][3]][] = [
  ['huw', 3, { film: 'Millrace 400', ei: 400, count: 2 }],
  ['lotte', 4, { film: 'Millrace 100', ei: 100, format: '120', count: 2 }],
  ['jory', 6, { film: 'Harbour colour 200', ei: 200, process: 'colour-negative', count: 3 }],
  ['mina', 8, { film: 'Millrace 100', ei: 100 }],
  ['wanda', 10, { film: 'Millrace 400', ei: 1600, pushStops: 2 }],
  ['ansa', 12, { film: 'Harbour slide 100', ei: 100, process: 'slide-three', count: 2 }],
  ['otis', 15, { film: 'Millrace 400', ei: 400, count: 4 }],
  ['pell', 18, { film: 'Millrace 100', ei: 100, count: 2 }],
  ['bram', 22, { film: 'Harbour colour 200', ei: 200, process: 'colour-negative' }],
  ['corin', 26, { film: 'Millrace 400', ei: 400, count: 3 }],
]
/** Taken home again undeveloped. */
const withdrawn: [login: string, hoursAgo: number, why: string] = [
  'pell',
  70,
  'Was the roll with the torn leader: wants to finish it first.',
]

/** What lies in the drop-off rack of the demo. */
export async function orders(db: Database, by: string, today: number): Promise<void> {
  const people = new Map((await db.Person.findAll({ attributes: ['id', 'login'], raw: true })).map(({ id, login }) => [login, id]))
  const row = (login: string, hoursAgo: number, number: number, { process = 'bw-negative', ...wish }: (typeof brought)[0][3]) => {
    const handedAt = today - hoursAgo * hourMs
    const usual = { format: '135-36' as const, count: 1, ei: 400, pushStops: 0, developer: null, present: false, critical: false, note: '' }
    return {
      ...{ id: uuid({ msecs: handedAt }), number, memberId: people.get(login) ?? null, film: 'Millrace 400', ...usual, ...wish },
      ...{ processId: houseIds[process], earliest: null, wantedBy: null as number | null, handedBy: by, handedAt },
    }
  }
  const [who, ago, why] = withdrawn
  const rows = [
    { ...row(who, ago, 1, {}), state: 'withdrawn' as const, why, rack: null },
    ...brought.map(([login, hoursAgo, wantedIn, wish], i) => ({
      ...row(login, hoursAgo, i + 2, wish),
      ...{ rack: i + 1, wantedBy: wantedIn === null ? null : Math.round((today + wantedIn * hourMs) / hourMs) * hourMs },
    })),
    ...toCome.map(([login, days, wish], i) => ({
      ...row(login, 0.5, brought.length + i + 2, wish),
      // nothing of it lies here yet
      ...{ rack: null, earliest: Math.round((today + days * dayMs) / hourMs) * hourMs },
    })),
  ]
  await db.FilmOrder.bulkCreate(rows)
  const line = (orderId: string, at: number, what: 'handed-in' | 'withdrawn', reason = '') => ({
    ...{ id: uuid({ msecs: at }), orderId, at, byPerson: by, what, why: reason },
  })
  await db.OrderChange.bulkCreate([
    ...rows.map((one) => line(one.id, one.handedAt, 'handed-in')),
    line(rows[0]?.id ?? '', today - (ago - 20) * hourMs, 'withdrawn', why),
  ])
}
