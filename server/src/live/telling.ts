import { liveRows, memberSubjects, type LiveEvent, type LiveRows } from '@selvrin/core/contract'
import type { House } from '../house/house'
import { cutOf } from '../http/cut'
import type { Who } from '../http/who'
import { gathering } from './gathering'
import type { Listeners } from './listeners'
import { readers, type Seen } from './rows'

/** What belongs together is told within so long: a pour tells its bottle's row and its ledger's. */
const momentMs = 15
/** what follows from many rows is worked out anew no more often than this */
const derivedMs = 400

type Subject = LiveEvent['subject']
const cuts = new Map<string, (row: never) => unknown>(Object.entries(liveRows).map(([subject, shape]) => [subject, cutOf(shape)]))
/** Subjects that have no rows are told alone: whoever shows them asks again. */
const hasRows = (subject: Subject): subject is keyof LiveRows => Object.hasOwn(liveRows, subject)

const isTechnician = (who: Who): boolean => who.role === 'technician'

/** Who hears of a row: of a film its member and every technician, of a run whoever planned it, of a notice its person alone. */
function mayHear(subject: Subject, owner: string | null | undefined): (who: Who) => boolean {
  if (subject === 'notice') return (who) => who.id === owner
  if (subject === 'roll' || subject === 'order' || subject === 'run' || subject === 'run-event')
    return (who) => isTechnician(who) || who.id === owner
  return (who) => isTechnician(who) || (subject !== 'person' && memberSubjects.includes(subject))
}

const textOf = (event: LiveEvent): string => `data: ${JSON.stringify(event)}\n\n`

/** Tells the listeners here what changed: every row is read once, as its lists show it, however many listen. Answers how to tell, and how to end. */
export function tellingOf({ db, clock }: House, listeners: Listeners): { tell: (event: LiveEvent) => void; end: () => void } {
  function sayRow(subject: Subject, event: LiveEvent, seen: Seen | undefined): void {
    const row = seen?.row == null ? null : cuts.get(subject)?.(seen.row as never)
    listeners.say(textOf({ ...event, row }), mayHear(subject, seen?.owner))
    // who they are may have changed for themselves: they look, and see less than a technician does
    if (subject === 'person') listeners.say(textOf(event), (who) => !isTechnician(who) && who.id === event.id)
  }
  async function tellSubject(subject: Subject, events: Map<string, LiveEvent>): Promise<void> {
    if (!hasRows(subject)) {
      for (const event of events.values()) listeners.say(textOf(event), mayHear(subject, null))
      return
    }
    const rows = new Map((await readers[subject](db, [...events.keys()], clock.now())).map((one) => [one.id, one]))
    for (const [id, event] of events) sayRow(subject, event, rows.get(id))
    if (subject === 'bottle') for (const formulaId of formulasOf([...rows.values()])) derived.tell(formulaId)
  }
  const derived = gathering<string>(derivedMs, async (formulaIds) => {
    if (!listeners.some(isTechnician)) return
    await tellSubject('supply', new Map(formulaIds.map((id) => [id, { subject: 'supply', id, version: null }])))
  })
  const changed = gathering<LiveEvent>(momentMs, async (events) => {
    if (!listeners.some(() => true)) return
    for (const [subject, told] of bySubject(events))
      // what cannot be read now is told without its rows: whoever holds the list asks again
      await tellSubject(subject, told).catch(() =>
        [...told.values()].forEach((event) => listeners.say(textOf(event), mayHear(subject, null))),
      )
  })
  return {
    tell: changed.tell,
    end: () => {
      changed.end()
      derived.end()
    },
  }
}

const formulasOf = (rows: Seen[]): Set<string> => new Set(rows.map(({ row }) => (row as { formulaId: string }).formulaId))

/** The last that was told of each row, by subject. */
function bySubject(events: LiveEvent[]): Map<Subject, Map<string, LiveEvent>> {
  const subjects = new Map<Subject, Map<string, LiveEvent>>()
  for (const event of events) {
    const told = subjects.get(event.subject) ?? new Map<string, LiveEvent>()
    // a later word without a version does not take away the one that was told
    told.set(event.id, { ...event, version: event.version ?? told.get(event.id)?.version ?? null })
    subjects.set(event.subject, told)
  }
  return subjects
}
