<script setup lang="ts">
import { coinMinutes, guideOf } from '@selvrin/core'
import { api, type Instrument } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, onMounted, ref, shallowRef } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import BodyField from '../fields/BodyField.vue'
import ChoiceField from '../fields/ChoiceField.vue'
import ModalPanel from '../fields/ModalPanel.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import QuantityField from '../fields/QuantityField.vue'
import TextField from '../fields/TextField.vue'
import { useContractForm } from '../fields/useContractForm'
import { showDate } from '../marks/words'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import { useDevices, useInstruments } from '../stores'
import WaitFor from '../fields/WaitFor.vue'
import { useTyped } from '../hand/typed'

/** What tests are done with, and lamps: each proven itself. */
const session = useSession()
const show = useShow()
const instruments = useInstruments()
const devices = useDevices()
onMounted(() => void Promise.all([instruments.load(), devices.load()]))
const { busy, problem, act } = useAction()
const typing = useTyped()
const zone = computed(() => session.darkroom?.zone ?? 'UTC')
const of = (kind: Instrument['kind']) => instruments.rows.filter((one) => one.kind === kind)
const degrees = (celsius: number) => show.temperature(celsius)
const offsets = (one: Instrument) =>
  one.points.length === 0
    ? 'not compared yet'
    : one.points.map((point) => `${degrees(point.readC)} on it is ${degrees(point.trueC)}`).join(', ')
const tested = (one: Instrument) => (one.testedAt === null ? '' : `, ${showDate(one.testedAt, zone.value)}`)

/** a thermometer that is no device; a list has no choice without a name */
const byEye = 'none'
const kinds = [
  { value: 'thermometer' as const, name: 'Thermometer' },
  { value: 'lamp' as const, name: 'Lamp, or a screen in safelight' },
  { value: 'process' as const, name: 'Process with control strips' },
]
const probes = computed(() => [
  { value: byEye, name: 'read by eye' },
  ...devices.rows
    .filter((one) => one.kind === 'thermometer' && !instruments.rows.some((known) => known.deviceId === one.id))
    .map((one) => ({ value: one.id, name: one.name })),
])
const adding = useContractForm(api.proof.addInstrument, {
  begin: () => ({ id: uuid(), kind: 'thermometer' as const, name: '', deviceId: null }),
  send: async (body) => {
    await call(api.proof.addInstrument, { body: { ...body, deviceId: body.kind === 'thermometer' ? body.deviceId : null } })
    typing.kept()
    await instruments.load(true)
  },
})
const kind = adding.form.useStore((state) => state.values.kind)

const open = shallowRef<Instrument | null>(null)
const ice = ref<number | null>(null)
const warmRead = ref<number | null>(null)
const warmTrue = ref<number | null>(null)
const coin = ref<string | null>(null)
const coins = [
  ...coinMinutes.map((minutes) => ({ value: String(minutes), name: `${minutes} min` })),
  { value: 'none', name: 'No coin shows' },
]
function begin(one: Instrument): void {
  open.value = one
  problem.value = ''
  ice.value = warmRead.value = warmTrue.value = null
  coin.value = null
}
async function keep(): Promise<void> {
  const one = open.value
  if (!one) return
  const body = { proofId: uuid(), version: one.version }
  const points = [
    ...(ice.value === null ? [] : [{ readC: ice.value, trueC: 0 }]),
    ...(warmRead.value === null || warmTrue.value === null ? [] : [{ readC: warmRead.value, trueC: warmTrue.value }]),
  ]
  if (one.kind === 'thermometer' && points.length === 0) problem.value = 'Write what it reads in the ice, or beside the reference.'
  else if (one.kind === 'lamp' && coin.value === null) problem.value = 'Choose the shortest time whose coin shows.'
  else {
    const minutes = coinMinutes.find((minute) => String(minute) === coin.value) ?? null
    const good = await act(() =>
      one.kind === 'thermometer'
        ? call(api.proof.thermometer, { params: { id: one.id }, body: { ...body, points } })
        : call(api.proof.lamp, { params: { id: one.id }, body: { ...body, minutes } }),
    )
    if (good) open.value = null
    await instruments.load(true)
  }
}
</script>

<template>
  <div class="station">
    <RouterLink to="/proofs" class="link inline-flex min-h-11 items-center">← Proofs</RouterLink>
    <h1 class="mb-4 text-3xl font-bold">Thermometers, lamps, processes</h1>
    <div class="grid grid-cols-[minmax(0,1fr)_340px] gap-10 max-lg:grid-cols-1">
      <WaitFor :of="[instruments]" what="the instruments">
        <div class="space-y-8">
          <section>
            <h2 class="text-xl font-bold">Thermometers</h2>
            <p v-if="of('thermometer').length === 0" class="py-2">None yet. Add one and compare it with ice.</p>
            <ul>
              <li v-for="one in of('thermometer')" :key="one.id" class="flex flex-wrap items-center gap-x-4 border-b border-line py-2">
                <p class="min-w-48 flex-1">
                  <b class="text-lg">{{ one.name }}</b><span v-if="one.deviceId" class="text-quiet"> at the bench</span><br />{{
                    offsets(one)
                  }}{{ tested(one) }}
                </p>
                <button class="button button-small" @click="begin(one)">Compare {{ one.name }}</button>
              </li>
            </ul>
          </section>
          <section>
            <h2 class="text-xl font-bold">Lamps and screens</h2>
            <p v-if="of('lamp').length === 0" class="py-2">None yet.</p>
            <ul>
              <li v-for="one in of('lamp')" :key="one.id" class="flex flex-wrap items-center gap-x-4 border-b border-line py-2">
                <p class="min-w-48 flex-1">
                  <b class="text-lg">{{ one.name }}</b><br />{{
                    one.safeMinutes === null ? 'not tested: not a safelight' : `safe for ${one.safeMinutes} min`
                  }}{{ tested(one) }}
                </p>
                <button class="button button-small" @click="begin(one)">Coin test {{ one.name }}</button>
              </li>
            </ul>
          </section>
          <section>
            <h2 class="text-xl font-bold">Processes</h2>
            <ul>
              <li v-for="one in of('process')" :key="one.id" class="flex flex-wrap items-center gap-x-4 border-b border-line py-2">
                <p class="min-w-48 flex-1">
                  <b class="text-lg">{{ one.name }}</b><br />{{ one.strips.length }} control strips{{ tested(one) }}
                </p>
                <RouterLink :to="`/proofs/process/${one.id}`" class="button button-small">Control chart of {{ one.name }}</RouterLink>
              </li>
            </ul>
          </section>
        </div>
      </WaitFor>
      <form class="card space-y-3 self-start" @submit.prevent="adding.submit()">
        <h2 class="text-xl font-bold">Add one</h2>
        <BodyField v-slot="{ bind }" :of="adding.fields" name="kind"><ChoiceField v-bind="bind" label="What" :choices="kinds" /></BodyField>
        <BodyField v-slot="{ bind }" :of="adding.fields" name="name"><TextField v-bind="bind" label="Its name" /></BodyField>
        <BodyField v-if="kind === 'thermometer' && probes.length > 1" v-slot="{ bind }" :of="adding.fields" name="deviceId">
          <ChoiceField
            :model-value="(bind.modelValue as string | null) ?? byEye"
            label="It is"
            :choices="probes"
            :problem="bind.problem"
            @update:model-value="(id) => bind['onUpdate:modelValue'](id === byEye ? null : id)"
          />
        </BodyField>
        <ProblemLine :problem="adding.rest.value" />
        <button class="button button-main" :disabled="adding.busy.value">Add it</button>
      </form>
    </div>
    <ModalPanel
      :open="open !== null"
      wide
      :title="open ? `${open.kind === 'lamp' ? 'Coin test' : 'Compare'}: ${open.name}` : ''"
      @close="open = null"
    >
      <form v-if="open" class="space-y-4" @submit.prevent="keep">
        <ol class="list-decimal space-y-1 pl-6">
          <li v-for="step in guideOf(open.kind === 'lamp' ? 'safelight-coin' : 'thermometer-points').steps" :key="step.says">
            {{ show.said(step.says) }}
          </li>
        </ol>
        <template v-if="open.kind === 'thermometer'">
          <QuantityField v-model="ice" kind="temperature" label="In stirred ice water it reads" />
          <div class="grid grid-cols-2 gap-4">
            <QuantityField v-model="warmRead" kind="temperature" label="Near the working temperature it reads" />
            <QuantityField v-model="warmTrue" kind="temperature" label="and the reference" />
          </div>
          <p class="text-quiet">
            Both replace what was known. {{ show.said('Without a point near 38 °C it cannot vouch for ±0.2 °C there.') }}
          </p>
        </template>
        <ChoiceField v-else v-model="coin" label="The shortest time whose coin shows" :choices="coins" />
        <ProblemLine :problem="problem" />
        <div class="flex gap-3">
          <button class="button button-main" :disabled="busy">Keep it</button>
          <button type="button" class="button" @click="open = null">Not now</button>
        </div>
      </form>
    </ModalPanel>
  </div>
</template>
