import {
  filterWayFor,
  matchedSince,
  movedPrint,
  nextTry,
  printOfStrip,
  stripShare,
  type Grade,
  type NextTry,
  type PrintExposure,
  type PrintFactor,
  type PrintSaid,
  type PrintSetup,
  type PrintTry,
  type TrySetup,
} from '@selvrin/core'
import { traysApi, type Enlarger, type PrintTryRow } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed } from 'vue'
import { call, sentence } from '../api/call'
import { useAction } from '../api/useAction'
import { usePage } from '../api/usePage'
import { keepTimer } from '../printroom/keptTimer'
import { useRoom } from '../printroom/useRoom'
import { filterFor, refiltered, type Filtering } from './filters'

/** s as a timer is set: to the tenth. */
const settable = (seconds: number): number => Math.max(0.1, Math.round(10 * seconds) / 10)
/** A plan in times a timer can be set to: what is written down is what was given. */
export const forTimer = (plan: PrintTry): PrintTry =>
  plan.kind === 'strip' ? plan : { ...plan, exposures: plan.exposures.map((one) => ({ ...one, seconds: settable(one.seconds) })) }

/** Part of a sheet that a strip takes. */
const stripSheets = stripShare(4)

/** A print's sheet: its tries, what was said of the last one, and the next, worked out. */
export function usePrint(id: string) {
  const room = useRoom()
  const page = usePage(
    (signal) => call(traysApi.sheet, { params: { id }, signal }),
    (event) => event.subject === 'print' && event.id === id,
  )
  void page.load()
  const sheet = computed(() => page.value.value?.sheet ?? null)
  const tries = computed(() => page.value.value?.tries ?? [])
  const last = computed(() => tries.value.at(-1) ?? null)
  const enlarger = computed(() => room.enlargerOf(sheet.value?.setup.enlargerId ?? ''))
  const paper = computed(() => room.paperOf(sheet.value?.setup.boxId ?? ''))
  const said = computed(() => last.value?.said ?? [])

  /** How a head changes grades on a paper: by its wedges, where it has some. */
  const wayOf = (of: Enlarger, boxId: string) => filterWayFor(of, room.paperOf(boxId) ?? undefined, room.there.value?.calibrations ?? [])
  const filtering = (): Filtering => ({
    ...{ paper: paper.value, enlarger: enlarger.value },
    way: enlarger.value && wayOf(enlarger.value, sheet.value?.setup.boxId ?? ''),
  })

  const weights = () => {
    const { way } = filtering()
    return way?.by === 'pack' ? { weights: way.weights } : {}
  }
  const isColour = computed(() => paper.value !== null && paper.value.material !== 'black-and-white')
  /** What a time depends on, of a setup whose paper is known. */
  const setupOf = (setup: TrySetup): PrintSetup | null => {
    const of = room.paperOf(setup.boxId)
    return (
      of && {
        m: setup.m,
        lensN: setup.lensN,
        paper: { name: of.name, speed: of.speed, dryDown: of.dryDown, label: room.boxOf(setup.boxId)?.label ?? null },
      }
    )
  }
  /** What was matched since the last try: its time takes these factors. */
  const matched = computed((): PrintFactor[] => {
    const { value: of } = sheet
    const [paperId, noted] = [paper.value?.id, last.value?.at]
    if (!of || paperId === undefined || noted === undefined) return []
    return matchedSince(room.there.value?.calibrations ?? [], { noted, enlargerId: of.setup.enlargerId, paperId })
  })
  /** Another box of colour paper whose label says something else. */
  const isOtherBatch = (was: string, is: string): boolean => {
    const [old, next] = [room.boxOf(was)?.label, room.boxOf(is)?.label]
    return was !== is && !!old && !!next && (old.y !== next.y || old.m !== next.m || old.factor !== next.factor)
  }
  /** The print was made with something else than the next one will be. */
  const isMoved = computed(() => {
    const { setup: was } = last.value ?? {}
    if (matched.value.length > 0) return true
    const { setup: is } = sheet.value ?? {}
    if (!was || !is) return false
    return (
      was.m !== is.m ||
      was.lensN !== is.lensN ||
      was.enlargerId !== is.enlargerId ||
      room.paperOf(was.boxId)?.id !== room.paperOf(is.boxId)?.id ||
      isOtherBatch(was.boxId, is.boxId)
    )
  })
  /** The print as it is made with the setup of now: its time by size, stop and paper, its grade by the filters there are. */
  function movedTo(next: NextTry): NextTry {
    const [from, to] = [last.value && setupOf(last.value.setup), sheet.value && setupOf(sheet.value.setup)]
    if (!isMoved.value || !from || !to) return next
    const same = last.value?.setup.enlargerId === sheet.value?.setup.enlargerId
    const { print, factors, findings } = movedPrint(next.print, { from, to, matched: matched.value, ...weights() })
    return {
      print: { ...print, exposures: print.exposures.map((one) => ({ ...one, filter: refiltered(one.filter, same, filtering()) })) },
      changes: [
        ...next.changes,
        ...factors.map(({ name, factor }) => ({ what: 'exposure' as const, says: `${name} ×${factor.toFixed(2)}`, factor })),
      ],
      findings: [...findings, ...next.findings],
    }
  }

  /** The next print: of the band that was chosen, or of what was said of the last one; or why there is none. */
  const next = computed((): { print: NextTry | null; problem: string } => {
    const plan = last.value?.plan
    if (!plan || !enlarger.value) return { print: null, problem: '' }
    try {
      if (plan.kind === 'print') {
        const was = room.enlargerOf(last.value?.setup.enlargerId ?? '') ?? enlarger.value
        return { print: movedTo(nextTry(plan, said.value, wayOf(was, last.value?.setup.boxId ?? ''))), problem: '' }
      }
      return { print: plan.chosen === null ? null : movedTo({ print: printOfStrip(plan), changes: [], findings: [] }), problem: '' }
    } catch (error) {
      return { print: null, problem: sentence(error) }
    }
  })
  const { busy, problem, act } = useAction()
  /** What the server answered stands at once: the next tap goes by it, whatever loads are still under way. They begin anew, since an older one would bring back what was. */
  function told(row: PrintTryRow): void {
    const { value: now } = page.value
    if (!now) return
    const there = now.tries.some((one) => one.id === row.id)
    page.take({ ...now, tries: there ? now.tries.map((one) => (one.id === row.id ? row : one)) : [...now.tries, row] })
    void page.load()
  }
  const judge = (row: PrintTryRow, more: { chosen?: [number] | [number, number] | null; said?: PrintSaid[] }) =>
    act(async () => {
      const chosen = row.plan.kind === 'strip' ? (more.chosen ?? row.plan.chosen) : null
      const body = { version: row.version, chosen, said: more.said ?? row.said, note: row.note }
      told(await call(traysApi.judge, { params: { id, tryId: row.id }, body }))
    })
  /** what was sent and not answered yet: pressed again it is the same try, whose paper is drawn once */
  let sending: { given: string; ids: { id: string; entryId: string } } | null = null
  const expose = (plan: PrintTry) =>
    act(async () => {
      const { setup } = sheet.value as NonNullable<typeof sheet.value>
      const given = JSON.stringify(plan)
      if (sending?.given !== given) sending = { given, ids: { id: uuid(), entryId: uuid() } }
      const body = { ...sending.ids, setup, plan: forTimer(plan), sheets: plan.kind === 'strip' ? stripSheets : 1 }
      told(await call(traysApi.expose, { params: { id }, body }))
      sending = null
      // whatever was being counted out is over
      keepTimer(id, null)
    })
  const change = (more: { done?: boolean; setup?: TrySetup }) =>
    act(async () => {
      const { version, title, negative, setup, done } = sheet.value as NonNullable<typeof sheet.value>
      await call(traysApi.change, { params: { id }, body: { version, title, negative, setup, done, ...more } })
      await page.load()
    })
  const finish = (done: boolean) => change({ done })
  /** The soft exposure of a split grade, once its band is chosen: what a hard strip goes on top of. */
  const soft = computed((): PrintExposure | null => {
    const plan = last.value?.plan
    if (
      plan?.kind !== 'strip' ||
      plan.chosen === null ||
      plan.under.length > 0 ||
      plan.filter.kind === 'none' ||
      plan.filter.kind === 'pack' ||
      plan.filter.grade !== '00'
    )
      return null
    return printOfStrip(plan).exposures[0] ?? null
  })
  return {
    page,
    room,
    sheet,
    tries,
    last,
    enlarger,
    paper,
    said,
    next,
    filterFor: (grade: Grade) => filterFor(grade, filtering()),
    busy,
    problem,
    isMoved,
    isColour,
    soft,
    judge,
    expose,
    change,
    finish,
  }
}
export type PrintView = ReturnType<typeof usePrint>
