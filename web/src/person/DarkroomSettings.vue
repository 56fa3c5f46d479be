<script setup lang="ts">
import { api, type Darkroom } from '@selvrin/core/contract'
import { ref } from 'vue'
import { call } from '../api/call'
import BodyField from '../fields/BodyField.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import QuantityField from '../fields/QuantityField.vue'
import ReadField from '../fields/ReadField.vue'
import SwitchField from '../fields/SwitchField.vue'
import TextField from '../fields/TextField.vue'
import { basedOn, useContractForm } from '../fields/useContractForm'
import { useSession } from '../session/store'

/** What holds for the whole house. */
const { darkroom } = defineProps<{ darkroom: Darkroom }>()
const emit = defineEmits<{ kept: [] }>()
const session = useSession()
const kept = ref(darkroom)
const { fields, typed, busy, rest, current, submit } = useContractForm(api.darkroom.change, {
  begin: () => {
    // the first steps of a new house are kept where they are taken
    const { leftOut: _, ...settings } = kept.value
    return { ...settings, hosts: settings.hosts ?? [], publicDevices: settings.publicDevices ?? false, hangers: settings.hangers ?? 8 }
  },
  send: async (body, theirs) => {
    kept.value = await call(api.darkroom.change, { body: { ...body, version: basedOn(kept.value, theirs) } })
    await session.load()
    emit('kept')
  },
})
const unmeasured = (celsius: number | null) => (celsius === null ? 'not measured' : '')
const readHosts = (text: string) => text.split(/[\s,;]+/).filter(Boolean)
const writeHosts = (hosts: string[]) => hosts.join(', ')
</script>

<template>
  <form class="space-y-4" novalidate @submit.prevent="submit">
    <h2 class="text-xl font-bold">The darkroom</h2>
    <BodyField v-slot="{ bind }" :of="fields" name="name"><TextField v-bind="bind" label="Name" /></BodyField>
    <BodyField v-slot="{ bind }" :of="fields" name="zone">
      <TextField v-bind="bind" label="Time zone" hint="such as Europe/Lisbon" />
    </BodyField>
    <div class="grid grid-cols-2 gap-4">
      <BodyField v-slot="{ bind }" :of="fields" name="tapColdC">
        <QuantityField v-bind="bind" kind="temperature" label="Cold tap" :hint="unmeasured(typed.tapColdC)" />
      </BodyField>
      <BodyField v-slot="{ bind }" :of="fields" name="tapHotC">
        <QuantityField v-bind="bind" kind="temperature" label="Hot tap" :hint="unmeasured(typed.tapHotC)" />
      </BodyField>
      <BodyField v-slot="{ bind }" :of="fields" name="roomC">
        <QuantityField v-bind="bind" kind="temperature" label="Room" :hint="unmeasured(typed.roomC)" />
      </BodyField>
      <BodyField v-slot="{ bind }" :of="fields" name="scaleReadabilityG">
        <QuantityField v-bind="bind" kind="mass" label="Scale’s last digit" />
      </BodyField>
      <BodyField v-slot="{ bind }" :of="fields" name="hangers">
        <ReadField v-bind="bind" label="Places in the dryer" hint="films that may hang at once" :read="Number" :write="String" />
      </BodyField>
      <BodyField v-slot="{ bind }" :of="fields" name="currency">
        <TextField v-bind="bind" label="Currency" hint="of prices, such as EUR" />
      </BodyField>
    </div>
    <BodyField v-slot="{ bind }" :of="fields" name="secondCheck">
      <SwitchField v-bind="bind" label="A second person looks" detail="at developing agents and restrainers on the scales" />
    </BodyField>
    <BodyField v-slot="{ bind }" :of="fields" name="hosts" items>
      <ReadField
        v-bind="bind"
        label="Names it is opened under"
        hint="beside its own addresses, such as darkroom.local; under any other it does not answer"
        :read="readHosts"
        :write="writeHosts"
      />
    </BodyField>
    <BodyField v-slot="{ bind }" :of="fields" name="publicDevices">
      <SwitchField v-bind="bind" label="Bench devices outside this network" detail="else only private addresses are dialled" />
    </BodyField>
    <RouterLink to="/devices" class="link inline-flex min-h-11 items-center">Scales, thermometers and pH meters</RouterLink>
    <ProblemLine :problem="rest" />
    <button class="button button-main" :disabled="busy">{{ current ? 'Keep mine over theirs' : 'Keep the darkroom’s' }}</button>
  </form>
</template>
