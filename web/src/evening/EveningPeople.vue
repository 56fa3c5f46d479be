<script setup lang="ts">
import { startOfDay, type EveningPerson } from '@selvrin/core'
import { computed, onMounted, ref } from 'vue'
import FormPanel from '../fields/FormPanel.vue'
import TickBox from '../fields/TickBox.vue'
import TextField from '../fields/TextField.vue'
import { sentence } from '../api/call'
import { showClock } from '../marks/words'
import { momentOf } from '../order/when'
import { usePeople } from '../stores'
import type { EveningView } from './useEvening'

/** Who is there, from when to when, with their breaks; and when the evening opens and closes. */
const { view } = defineProps<{ view: EveningView }>()
const emit = defineEmits<{ close: [] }>()
const { evening, house, busy, problem, send } = view
const zone = computed(() => house.value?.zone ?? 'UTC')
const everyone = usePeople()
onMounted(() => void everyone.load())
const technicians = computed(() => everyone.rows.filter((one) => one.active && one.role === 'technician'))

interface Line {
  personId: string
  from: string
  until: string
  rest: boolean
  minutes: string
  restFrom: string
  restUntil: string
}
const body = evening.value?.body
const shown = (at: number): string => showClock(at, zone.value)
const opens = ref(body ? shown(body.opensAt) : '18:00')
const closes = ref(body ? shown(body.closesAt) : '22:00')
const lineOf = (one: EveningPerson): Line => ({
  ...{ personId: one.personId, from: shown(one.fromAt), until: shown(one.untilAt), rest: one.rest !== null },
  ...{
    minutes: String(one.rest?.minutes ?? 20),
    restFrom: shown(one.rest?.fromAt ?? one.fromAt),
    restUntil: shown(one.rest?.untilAt ?? one.untilAt),
  },
})
const lines = ref<Line[]>((body?.people ?? []).map(lineOf))
const lineFor = (id: string) => lines.value.find((line) => line.personId === id)
function toggle(id: string): void {
  lines.value = lineFor(id)
    ? lines.value.filter((line) => line.personId !== id)
    : [
        ...lines.value,
        {
          personId: id,
          from: opens.value,
          until: closes.value,
          rest: false,
          minutes: '20',
          restFrom: opens.value,
          restUntil: closes.value,
        },
      ]
}
const wrong = ref('')
/** A time of that evening: what comes before opening is after midnight. */
function moment(text: string, after: number): number {
  const day = String(startOfDay(after, zone.value))
  const at = momentOf(day, text, zone.value)
  return at >= after ? at : momentOf(String(startOfDay(after + 26 * 3_600_000, zone.value)), text, zone.value)
}
async function keep(): Promise<void> {
  if (!evening.value || !body) return
  wrong.value = ''
  try {
    const day = startOfDay(body.opensAt, zone.value)
    const opensAt = momentOf(String(day), opens.value, zone.value)
    const closesAt = moment(closes.value, opensAt)
    const people = lines.value.map((line): EveningPerson => {
      // whoever comes earlier than it opens is counted on from opening
      const fromAt = Math.max(opensAt, momentOf(String(startOfDay(opensAt, zone.value)), line.from, zone.value))
      return {
        ...{ personId: line.personId, fromAt, untilAt: moment(line.until, fromAt) },
        rest: line.rest
          ? { minutes: Number(line.minutes), fromAt: moment(line.restFrom, opensAt), untilAt: moment(line.restUntil, opensAt) }
          : null,
      }
    })
    if (people.some((one) => one.rest && (!Number.isInteger(one.rest.minutes) || one.rest.minutes < 1 || one.rest.minutes > 180)))
      return void (wrong.value = 'Say how long a break is in whole minutes, 1 to 180.')
    // places of whoever is there no more are nobody's
    const there = new Set(people.map((one) => one.personId))
    const loads = evening.value.body.loads.map((load) =>
      load.place && !there.has(load.place.personId) ? { ...load, place: null, unplaced: null } : load,
    )
    if (await send('people', { ...evening.value.body, opensAt, closesAt, people, loads })) emit('close')
  } catch (error) {
    wrong.value = sentence(error)
  }
}
</script>

<template>
  <FormPanel wide title="People, hours" yes="Keep it so" :busy="busy" :problem="wrong || problem" @close="$emit('close')" @submit="keep">
    <div class="grid grid-cols-2 gap-3">
      <TextField v-model="opens" label="Opens at" />
      <TextField v-model="closes" label="Closes at" />
    </div>
    <fieldset>
      <legend class="mb-1 text-xl font-bold">On duty</legend>
      <div v-for="one in technicians" :key="one.id" class="border-b border-line py-2">
        <TickBox class="text-lg" :checked="lineFor(one.id) !== undefined" @change="toggle(one.id)">{{ one.name }}</TickBox>
        <template v-for="line in lines.filter((each) => each.personId === one.id)" :key="line.personId">
          <div class="grid grid-cols-2 gap-3">
            <TextField v-model="line.from" :label="`From, ${one.name}`" />
            <TextField v-model="line.until" :label="`Until, ${one.name}`" />
          </div>
          <TickBox :checked="line.rest" @change="line.rest = !line.rest">a break</TickBox>
          <div v-if="line.rest" class="grid grid-cols-3 gap-3">
            <TextField v-model="line.minutes" label="Minutes" />
            <TextField v-model="line.restFrom" label="begins from" />
            <TextField v-model="line.restUntil" label="to" />
          </div>
        </template>
      </div>
    </fieldset>
  </FormPanel>
</template>
