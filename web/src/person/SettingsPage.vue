<script setup lang="ts">
import { api, type Darkroom } from '@selvrin/core/contract'
import { reactive, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { useTyped } from '../hand/typed'
import ChoiceField from '../fields/ChoiceField.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import QuantityField from '../fields/QuantityField.vue'
import SwitchField from '../fields/SwitchField.vue'
import TextField from '../fields/TextField.vue'
import { useSession } from '../session/store'
import PasswordForm from './PasswordForm.vue'

const session = useSession()
const mine = useAction()
const house = useAction()
const kept = ref('')
const typing = useTyped()
const units = [
  { value: 'metric' as const, name: 'g, ml, °C' },
  { value: 'us' as const, name: 'oz, fl oz, °F' },
]
const decimals = [
  { value: 'point' as const, name: '2.5', detail: 'a point; 1,000 is a thousand' },
  { value: 'comma' as const, name: '2,5', detail: 'a comma; 1.000 is a thousand' },
]
const my = reactive({
  units: session.person?.units ?? null,
  decimal: session.person?.decimal ?? null,
  letterKeys: session.person?.letterKeys ?? true,
  sounds: session.person?.sounds ?? true,
})
const room = reactive({ ...(session.darkroom as Darkroom) }) as {
  [K in keyof Darkroom]: Darkroom[K] extends number ? number | null : Darkroom[K]
}

/** names beside the house's own addresses, as they are typed */
const hosts = ref((session.darkroom?.hosts ?? []).join(', '))
async function keepMine(): Promise<void> {
  kept.value = ''
  const good = await mine.act(async () => {
    await call(api.person.changeMe, {
      body: {
        version: session.person?.version ?? 1,
        units: my.units ?? 'metric',
        decimal: my.decimal ?? 'point',
        letterKeys: my.letterKeys,
        sounds: my.sounds,
      },
    })
    await session.load()
  })
  if (!good) return
  typing.kept()
  kept.value = 'Your settings are kept.'
}
async function keepRoom(): Promise<void> {
  kept.value = ''
  const { tapColdC, tapHotC, roomC, scaleReadabilityG } = room
  if (scaleReadabilityG === null) {
    house.problem.value = 'Write the scale’s last digit.'
    return
  }
  const good = await house.act(async () => {
    const answer = await call(api.darkroom.change, {
      body: {
        version: session.darkroom?.version ?? 1,
        name: room.name,
        zone: room.zone,
        tapColdC,
        tapHotC,
        roomC,
        scaleReadabilityG,
        currency: room.currency,
        secondCheck: room.secondCheck,
        hosts: hosts.value.split(/[\s,;]+/).filter(Boolean),
        publicDevices: room.publicDevices ?? false,
      },
    })
    Object.assign(room, answer)
    hosts.value = (answer.hosts ?? []).join(', ')
    await session.load()
  })
  if (!good) return
  typing.kept()
  kept.value = 'The darkroom’s settings are kept.'
}
const unmeasured = (celsius: number | null) => (celsius === null ? 'not measured' : '')
const endAll = () =>
  mine
    .act(() => call(api.person.signOutEverywhere, { params: { id: session.person?.id ?? '' } }))
    .then((good) => (good ? session.signOut() : undefined))
</script>

<template>
  <div class="station max-w-4xl">
    <h1 class="mb-5 text-3xl font-bold">Settings</h1>
    <p v-if="kept" role="status" class="mb-4 text-lg font-semibold">{{ kept }}</p>
    <div class="grid grid-cols-2 gap-10 max-md:grid-cols-1">
      <div>
        <form class="space-y-4" @submit.prevent="keepMine">
          <h2 class="text-xl font-bold">{{ session.person?.name }}</h2>
          <div class="grid grid-cols-2 gap-4">
            <ChoiceField v-model="my.units" label="Units" :choices="units" />
            <ChoiceField v-model="my.decimal" label="Decimal sign" :choices="decimals" />
          </div>
          <SwitchField
            v-model="my.letterKeys"
            label="Single keys"
            detail="1 to 8, /, ?, L, and H, T during a run; Space and the pedal always count"
          />
          <SwitchField v-model="my.sounds" label="Sounds" detail="cues of the clock" />
          <ProblemLine :problem="mine.problem.value" />
          <div class="flex flex-wrap gap-3">
            <button class="button button-main" :disabled="mine.busy.value">Keep mine</button>
            <button type="button" class="button" @click="endAll">Sign out everywhere</button>
          </div>
        </form>
        <PasswordForm @submit="kept = ''" @kept="kept = 'Your password is changed. Everywhere else you are signed out.'" />
      </div>
      <form v-if="session.isTechnician" class="space-y-4" @submit.prevent="keepRoom">
        <h2 class="text-xl font-bold">The darkroom</h2>
        <TextField v-model="room.name" label="Name" :problem="house.field.value === 'name' ? house.problem.value : ''" />
        <TextField
          v-model="room.zone"
          label="Time zone"
          hint="such as Europe/Lisbon"
          :problem="house.field.value === 'zone' ? house.problem.value : ''"
        />
        <div class="grid grid-cols-2 gap-4">
          <QuantityField v-model="room.tapColdC" kind="temperature" label="Cold tap" :hint="unmeasured(room.tapColdC)" />
          <QuantityField v-model="room.tapHotC" kind="temperature" label="Hot tap" :hint="unmeasured(room.tapHotC)" />
          <QuantityField v-model="room.roomC" kind="temperature" label="Room" :hint="unmeasured(room.roomC)" />
          <QuantityField v-model="room.scaleReadabilityG" kind="mass" label="Scale’s last digit" />
          <TextField v-model="room.currency" label="Currency" hint="of prices, such as EUR" />
        </div>
        <SwitchField v-model="room.secondCheck" label="A second person looks" detail="at developing agents and restrainers on the scales" />
        <TextField
          v-model="hosts"
          label="Names it is opened under"
          hint="beside its own addresses, such as darkroom.local; under any other it does not answer"
          :problem="house.field.value.startsWith('hosts') ? house.problem.value : ''"
        />
        <SwitchField
          :model-value="room.publicDevices ?? false"
          label="Bench devices outside this network"
          detail="else only private addresses are dialled"
          @update:model-value="(on: boolean) => (room.publicDevices = on)"
        />
        <RouterLink to="/devices" class="link inline-flex min-h-11 items-center">Scales, thermometers and pH meters</RouterLink>
        <ProblemLine
          :problem="['name', 'zone'].includes(house.field.value) || house.field.value.startsWith('hosts') ? '' : house.problem.value"
        />
        <button class="button button-main" :disabled="house.busy.value">Keep the darkroom’s</button>
      </form>
    </div>
  </div>
</template>
