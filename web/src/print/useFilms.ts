import { api, type Roll } from '@selvrin/core/contract'
import { computed, ref } from 'vue'
import { usePaged } from '../api/usePaged'
import { showDate } from '../marks/words'
import { useSession } from '../session/store'

const another = 'another'
const small = { widthMm: 36, heightMm: 24 }

/** Films developed here, to print from: the newest, of one’s own or of everybody. */
export function useFilms() {
  const session = useSession()
  const zone = session.session?.darkroom.zone ?? 'UTC'
  const films = usePaged(api.run.rolls, () => ({}), { subject: 'roll', holds: () => true, atOnce: 60 })
  const chosen = ref<string | null>(another)
  const name = (one: Roll): string =>
    [one.sleeve ?? (one.runNumber === null ? '' : `run ${one.runNumber}`), one.film, showDate(one.at, zone)].filter(Boolean).join(', ')
  const choices = computed(() => [
    { value: another, name: 'not developed here' },
    ...films.rows.value.map((one) => ({ value: one.id, name: name(one), detail: one.member })),
  ])
  const film = computed(() => films.rows.value.find((one) => one.id === chosen.value) ?? null)
  /** What the negative is called, but for its frame; and its size, where the film says it. */
  const of = computed(() => {
    const { value: one } = film
    return one && { what: `${name(one)}, frame `, size: one.format.startsWith('135') ? small : null, memberId: one.memberId }
  })
  const negative = computed(() => (film.value ? { rollId: film.value.id } : {}))
  return { chosen, choices, of, negative }
}
