import { afterQuiet } from '@selvrin/core'
import { createTransport, type Transporter } from 'nodemailer'
import { Op } from 'sequelize'
import type { House } from '../house/house'
import type { Row } from '../table/database'

/** A mail server, by its address (smtp://…, smtps://…), and who it is from. */
export interface MailServer {
  url: string
  from: string
}

/** s between two looks for what is to be sent */
const lookS = 2
/** a letter that could not be sent is tried again after a minute, then twice as long, at most this, ms */
const [firstAgainMs, mostAgainMs] = [60_000, 6 * 3_600_000]
/** tries after which it is left to a technician */
const mostTries = 12

/** Sends what is due; answers how many were looked at. Each letter is locked while it is sent: whoever else sends takes another one. */
export async function sendDue({ db, clock }: House, transport: Pick<Transporter, 'sendMail'>, from: string): Promise<number> {
  const darkroom = await db.Darkroom.findOne({ attributes: ['name', 'zone'], raw: true })
  const one = (): Promise<boolean> =>
    db.transaction(async () => {
      const now = clock.now()
      const letter = await db.Letter.findOne({ where: { nextAt: { [Op.lte]: now } }, order: ['nextAt'], lock: true, skipLocked: true })
      if (!letter) return false
      const wish = await db.MailWish.findByPk(letter.personId)
      const notice = await db.Notice.findByPk(letter.noticeId, { attributes: ['readAt'] })
      // read already, or taken back before its time had come
      const why =
        notice?.readAt != null ? 'Read already, or taken back.' : !wish?.wanted || wish.address === '' ? 'Not wanted any more.' : null
      if (why !== null || !wish) {
        await letter.update({ nextAt: null, error: why })
        return true
      }
      const may = afterQuiet(now, { from: wish.quietFrom, until: wish.quietUntil }, darkroom?.zone ?? 'UTC')
      if (may > now) await letter.update({ nextAt: may })
      else await trySending(letter, { transport, from, to: wish.address, darkroom: darkroom?.name ?? '', now })
      return true
    })
  let looked = 0
  while (await one()) looked++
  return looked
}

interface Sending {
  transport: Pick<Transporter, 'sendMail'>
  from: string
  to: string
  darkroom: string
  now: number
}

/** Its Message-ID is the letter's: where its sender dies after it was taken and before that is written down, it is sent again, and whoever gets both sees one. */
async function trySending(letter: Row<'Letter'>, { transport, from, to, darkroom, now }: Sending): Promise<void> {
  try {
    await transport.sendMail({
      ...{ from, to, subject: `${darkroom}: news of your films`, text: `${letter.text}\n\n${darkroom}` },
      messageId: `<${letter.id}@selvrin>`,
      headers: { 'Auto-Submitted': 'auto-generated' },
    })
    await letter.update({ sentAt: now, nextAt: null, error: null })
  } catch (error) {
    const tries = letter.tries + 1
    const again = tries < mostTries ? now + Math.min(mostAgainMs, firstAgainMs * 2 ** (tries - 1)) : null
    await letter.update({ tries, nextAt: again, error: String((error as Error).message).slice(0, 500) })
  }
}

/** Sends what is due now and then. Answers how to end it. */
export function sendingMail(house: House, { url, from }: MailServer): () => Promise<void> {
  const transport = createTransport(url)
  let ended = false
  let busy: Promise<unknown> = Promise.resolve()
  let timer: NodeJS.Timeout
  const look = (): void => {
    // an outage of the database is over some time
    busy = sendDue(house, transport, from).catch(() => undefined)
    void busy.then(() => {
      if (!ended) timer = setTimeout(look, lookS * 1000)
    })
  }
  look()
  return async () => {
    ended = true
    clearTimeout(timer)
    await busy
    transport.close()
  }
}
