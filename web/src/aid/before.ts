import { aidOf, unknownSubstance, type AidSubstance, type Catalogue } from '@selvrin/core'
import { aidApi } from '@selvrin/core/contract'
import { computed, onBeforeUnmount, reactive, shallowReactive, watch } from 'vue'
import { call } from '../api/call'

/** A thing that stands before somebody: what help has to know of it. */
export interface BeforeYou {
  /** as it is called on the page */
  name: string
  /** a bottle whose contents the server knows best */
  bottleId?: string
  /** what is known of it without asking */
  of: AidSubstance
}

/** What is known of a bath by the family it belongs to, and of a chemical as it is bought. */
export const bathOf = (family: string): AidSubstance => aidOf({ family, additions: [] })
export const chemicalAid = (chemical: string, catalogue: Catalogue): AidSubstance =>
  aidOf({ family: 'other', additions: [{ chemical, grams: 1 }] }, catalogue)

/** What the pages that are open say, the last one on top. */
const pages = shallowReactive<{ what: () => BeforeYou[] }[]>([])
/** by the bottle's id, as the server told it */
const told = reactive(new Map<string, AidSubstance>())

/** Learns what is in bottles while the line is there, so that the card knows it when it is not. */
async function learn(ids: string[]): Promise<void> {
  const asked = ids.filter((id) => !told.has(id))
  if (asked.length === 0) return
  const { bottles } = await call(aidApi.bottles, { query: { ids: asked.join(',') } })
  for (const [id, of] of Object.entries(bottles)) told.set(id, of)
}

/** Says what stands before whoever uses this page, the nearest first, while it is open. */
export function standsBefore(what: () => BeforeYou[]): void {
  const page = { what }
  pages.push(page)
  watch(
    () => what().flatMap((one) => one.bottleId ?? []).slice(0, 12).join(), // prettier-ignore
    // what is in it is known without it too, if not as well
    (ids) => void (ids && learn(ids.split(',')).catch(() => undefined)),
    { immediate: true },
  )
  onBeforeUnmount(() => void pages.splice(pages.indexOf(page), 1))
}

/** What stands before somebody now, each once. */
export const beforeYou = computed((): BeforeYou[] => {
  const all = [...pages].reverse().flatMap(({ what }) => what())
  return [...new Map(all.map((one) => [one.name, { ...one, of: (one.bottleId && told.get(one.bottleId)) || one.of }])).values()]
})
/** what is said where nothing stands before anybody */
export const anything = { name: '', of: unknownSubstance }
