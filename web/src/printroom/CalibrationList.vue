<script setup lang="ts">
import {
  contactSeconds,
  filterWeight,
  gradeNear,
  matchedFactor,
  sheetLooks,
  sheetSays,
  wedgeOf,
  type SheetLooks,
  type WedgesBody,
} from '@selvrin/core'
import { traysApi, type CalibrationRow } from '@selvrin/core/contract'
import { computed, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import PressOne from '../fields/PressOne.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import { showDate } from '../marks/words'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import ContactPanel from './ContactPanel.vue'
import FiltersPanel from './FiltersPanel.vue'
import SwapPanel from './SwapPanel.vue'
import WedgePanel from './WedgePanel.vue'
import type { RoomView } from './useRoom'
import { gradeName, secondsWords, stopWords } from './words'

/** What was matched and measured here, each with its date and with what it holds for. */
const { room } = defineProps<{ room: RoomView }>()
const show = useShow()
const session = useSession()
const zone = computed(() => session.session?.darkroom.zone ?? 'UTC')
const rows = computed(() => room.there.value?.calibrations ?? [])
const matching = ref(false)
const contacting = ref(false)
const wedging = ref(false)
const filtering = ref(false)
const hasColour = computed(() => room.there.value?.papers.some((one) => one.material !== 'black-and-white') ?? false)
const looks = ref<SheetLooks | null>(null)
const lookNames: Record<SheetLooks, string> = {
  'all-dark': 'all frames dark',
  'all-pale': 'all pale',
  both: 'some dark, some pale',
  well: 'they stand well',
}
const lookChoices = sheetLooks.map((value) => ({ value, name: lookNames[value] }))
const enlargerName = (id: string | null): string =>
  id === null ? 'all enlargers' : (room.enlargerOf(id)?.name ?? 'an enlarger that is gone')
const paperName = (id: string | null): string =>
  id === null ? 'all papers' : (room.there.value?.papers.find((one) => one.id === id)?.name ?? 'a paper that is gone')
const dialNames = { y: 'Yellow', m: 'Magenta', c: 'Cyan' }
const swapNames = { developer: 'Another developer', box: 'Another box', lamp: 'Another lamp' }
function wedgeWords({ enlargerId, paperId, readings, stepD, key, developer }: WedgesBody): { head: string; holds: string } {
  const each = readings
    .map((one) => ({ ...one, range: wedgeOf(one, stepD).range }))
    .sort((a, b) => b.range - a.range)
    .map(({ y, m, range }) => {
      const dials = [y > 0 ? `${show.plain(y)} Y` : '', m > 0 ? `${show.plain(m)} M` : ''].filter(Boolean).join(' ') || 'no filter'
      const grade = gradeNear(range)
      return `${dials} range ${show.number(range, 0)}${grade ? ` (${gradeName(grade)})` : ''}`
    })
  const holds = [paperName(paperId), developer, key === 'light' ? 'a light tone stays' : 'a middle grey stays', each.join(' · ')]
  return { head: `Dials of ${enlargerName(enlargerId)} by ${readings.length} wedges`, holds: holds.filter(Boolean).join(', ') }
}
function words({ body }: CalibrationRow): { head: string; holds: string } {
  if (body.kind === 'swap') {
    const { factor, stops } = matchedFactor(body)
    const holds = [paperName(body.paperId), enlargerName(body.enlargerId), body.note].filter(Boolean).join(', ')
    return { head: `${swapNames[body.of]}: noted times ×${show.number(factor, 2)} (${stopWords(stops)})`, holds }
  }
  if (body.kind === 'wedges') return wedgeWords(body)
  if (body.kind === 'filters')
    return {
      head: `${dialNames[body.dial]} of ${enlargerName(body.enlargerId)} costs ${show.number(filterWeight(body), 2)} of its density`,
      holds: [
        paperName(body.paperId),
        `${show.plain(body.units)} units: ${secondsWords(body.beforeS)} became ${secondsWords(body.afterS)}`,
        body.note,
      ]
        .filter(Boolean)
        .join(', '),
    }
  const grade = body.grade === null ? '' : `grade ${gradeName(body.grade)}`
  const holds = [
    paperName(body.paperId),
    grade,
    enlargerName(body.enlargerId),
    `head as for ${show.plain(body.m)} times, f/${show.plain(body.lensN)}`,
    body.developer,
    body.film,
  ]
  return { head: `Standard contact time ${secondsWords(contactSeconds(body) ?? 0)}`, holds: holds.filter(Boolean).join(', ') }
}
const { busy, problem, act } = useAction()
const back = ({ id, version }: CalibrationRow) =>
  act(async () => {
    await call(traysApi.calibrateBack, { params: { id }, body: { version } })
    await room.page.load()
  })
const hasContact = computed(() => rows.value.some((one) => one.body.kind === 'contact'))
</script>

<template>
  <section class="mt-8" aria-labelledby="matched">
    <div class="mb-2 flex flex-wrap items-center gap-4">
      <h2 id="matched" class="text-2xl font-bold">Matched and measured</h2>
      <template v-if="session.isTechnician">
        <button type="button" class="button" @click="matching = true">Match two strips</button>
        <button type="button" class="button" @click="contacting = true">Standard contact time</button>
        <button type="button" class="button" @click="wedging = true">Dials by wedges</button>
        <button v-if="hasColour" type="button" class="button" @click="filtering = true">What a dial costs</button>
      </template>
    </div>
    <ProblemLine :problem="problem" />
    <p v-if="rows.length === 0" class="text-lg">Nothing yet: a strip of the old and one of the new, when developer, box or lamp change.</p>
    <ul>
      <li v-for="row in rows" :key="row.id" class="flex flex-wrap items-center gap-x-4 border-b border-line py-2">
        <span class="min-w-64 flex-1"
          ><b class="block text-lg">{{ words(row).head }}</b
          ><span class="text-quiet">{{ words(row).holds }}</span></span
        >
        <span class="text-quiet">since {{ showDate(row.at, zone) }}, {{ row.by }}</span>
        <button v-if="session.isTechnician" type="button" class="button button-small" :disabled="busy" @click="back(row)">
          Take back<span class="sr-only">: {{ words(row).head }}</span>
        </button>
      </li>
    </ul>
    <div v-if="hasContact" class="mt-4">
      <p class="mb-1 font-semibold">A contact sheet at its standard time looks so:</p>
      <PressOne v-model="looks" label="How the sheet looks" :choices="lookChoices" clearable />
      <p v-if="looks" class="mt-2 text-lg" role="status">{{ sheetSays(looks) }}</p>
    </div>
    <SwapPanel v-if="matching" :room="room" @close="((matching = false), room.page.load())" />
    <WedgePanel v-if="wedging" :room="room" @close="((wedging = false), room.page.load())" />
    <FiltersPanel v-if="filtering" :room="room" @close="((filtering = false), room.page.load())" />
    <ContactPanel v-if="contacting" :room="room" @close="((contacting = false), room.page.load())" />
  </section>
</template>
