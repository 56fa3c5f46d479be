<script setup lang="ts">
import { inDays, startOfDay } from '@selvrin/core'
import { printingApi, type PrintingDay, type PrintPlace } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, onMounted, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ChoiceField from '../fields/ChoiceField.vue'
import FormPanel from '../fields/FormPanel.vue'
import TextField from '../fields/TextField.vue'
import { showClock, showDate } from '../marks/words'
import { momentOf } from '../order/when'
import { useSession } from '../session/store'
import { usePeople } from '../stores'
import type { PrintingView } from './usePrinting'

/** A place is booked, or moved within its day. A technician does it for anybody, at any minute, and beyond everybody's share with a reason. */
const { view, day, fromAt, place } = defineProps<{
  view: PrintingView
  /** as it was when it was opened */
  day: PrintingDay
  fromAt: number
  place: PrintPlace | null
}>()
const emit = defineEmits<{ close: []; giveBack: [place: PrintPlace] }>()
const session = useSession()
const zone = computed(() => session.session?.darkroom.zone ?? 'UTC')
const people = usePeople()
onMounted(() => void (session.isTechnician && people.load()))
const members = computed(() =>
  people.rows
    .filter((one) => one.active)
    .map(({ id, name }) => ({ value: id, name }))
    .sort((a, b) => a.name.localeCompare(b.name)),
)
const cells = view.cells(day)
const usualMs = 2 * 3_600_000
/** The end that is proposed: two hours, or as long as it is free. */
function proposed(from: number): number {
  const full = cells.find((cell) => cell.fromAt >= from && (cell.free === 0 || cell.otherLight !== null))
  return Math.min(from + usualMs, full?.fromAt ?? Infinity, cells.at(-1)?.untilAt ?? Infinity)
}
const who = ref<string | null>(place?.memberId ?? (session.isTechnician ? null : (session.person?.id ?? null)))
const from = ref<string | null>(showClock(fromAt, zone.value))
const until = ref<string | null>(showClock(place?.untilAt ?? proposed(fromAt), zone.value))
const why = ref(place?.overruled ?? '')
const asChoices = (all: number[]) => [...new Set(all)].map((at) => showClock(at, zone.value)).map((text) => ({ value: text, name: text }))
const starts = asChoices([...(place ? [place.fromAt] : []), ...cells.map((cell) => cell.fromAt)].sort((a, b) => a - b))
const ends = asChoices([...(place ? [place.untilAt] : []), ...cells.map((cell) => cell.untilAt)].sort((a, b) => a - b))
/** A time of this opening: one before its beginning is after midnight. */
function momentIn(text: string | null): number {
  const at = momentOf(String(startOfDay(day.opensAt, zone.value)), text ?? '', zone.value)
  return at < day.opensAt && inDays(at, 1, zone.value) <= day.closesAt ? inDays(at, 1, zone.value) : at
}
const asked = computed(() => {
  try {
    const times = { fromAt: momentIn(from.value), untilAt: momentIn(until.value) }
    return { id: place?.id ?? null, memberId: who.value ?? '', ...times }
  } catch {
    return null
  }
})
const against = computed(() => (asked.value ? view.against(asked.value, day) : []))
const never = computed(() => against.value.find((one) => !one.fairUse))
const beyond = computed(() => session.isTechnician && !never.value && against.value.length > 0)
const said = computed(() => (never.value ?? against.value[0])?.message ?? '')
const id = uuid()
const { busy, problem, current, act } = useAction()
const wrong = ref('')
async function keep(): Promise<void> {
  wrong.value = ''
  if (!asked.value) return void (wrong.value = 'Write times of day, such as 18:30.')
  if (who.value === null) return void (wrong.value = 'Say who prints.')
  const { fromAt: begins, untilAt } = asked.value
  const body = { fromAt: begins, untilAt, overruled: beyond.value && why.value.trim() !== '' ? why.value : null }
  const version = (current.value as PrintPlace | null)?.version ?? place?.version ?? 1
  const good = await act(() =>
    place
      ? call(printingApi.change, { params: { id: place.id }, body: { version, ...body } })
      : call(printingApi.book, { body: { id, memberId: who.value as string, ...body } }),
  )
  if (good) emit('close')
}
</script>

<template>
  <FormPanel
    :title="place ? `Move ${place.memberId === session.person?.id ? 'your place' : `${place.member}’s place`}` : 'Book an enlarger'"
    :yes="place ? 'Move it' : 'Book it'"
    :busy="busy"
    :problem="wrong || problem"
    @close="emit('close')"
    @submit="keep"
  >
    <p class="text-xl font-semibold">{{ showDate(day.opensAt, zone) }}</p>
    <ChoiceField v-if="session.isTechnician && !place" v-model="who" label="Who" :choices="members" />
    <div class="grid grid-cols-2 gap-3">
      <template v-if="session.isTechnician">
        <TextField :model-value="from ?? ''" label="From" @update:model-value="from = $event" />
        <TextField :model-value="until ?? ''" label="To" @update:model-value="until = $event" />
      </template>
      <template v-else>
        <ChoiceField v-model="from" label="From" :choices="starts" />
        <ChoiceField v-model="until" label="To" :choices="ends" />
      </template>
    </div>
    <p v-if="said && said !== problem" class="border-l-4 border-ink pl-3" role="status">{{ said }}</p>
    <TextField v-if="beyond" v-model="why" label="Why it is given all the same" hint="stays with the place" />
    <template v-if="place" #more>
      <button type="button" class="button" @click="emit('giveBack', place)">
        {{ place.memberId === session.person?.id ? 'Give it back' : 'Take it back' }}
      </button>
    </template>
  </FormPanel>
</template>
