<script setup lang="ts">
import { api } from '@selvrin/core/contract'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import BodyField from '../fields/BodyField.vue'
import ChoiceField from '../fields/ChoiceField.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import SwitchField from '../fields/SwitchField.vue'
import { useContractForm } from '../fields/useContractForm'
import { useSession } from '../session/store'

/** How whoever is signed in reads, writes and hears. */
const emit = defineEmits<{ kept: [] }>()
const session = useSession()
const units = [
  { value: 'metric' as const, name: 'g, ml, °C' },
  { value: 'us' as const, name: 'oz, fl oz, °F' },
]
const decimals = [
  { value: 'point' as const, name: '2.5', detail: 'a point; 1,000 is a thousand' },
  { value: 'comma' as const, name: '2,5', detail: 'a comma; 1.000 is a thousand' },
]
const { fields, busy, rest, submit } = useContractForm(api.person.changeMe, {
  begin: () => ({
    version: session.person?.version ?? 1,
    units: session.person?.units ?? 'metric',
    decimal: session.person?.decimal ?? 'point',
    letterKeys: session.person?.letterKeys ?? true,
    sounds: session.person?.sounds ?? true,
  }),
  send: async (body) => {
    await call(api.person.changeMe, { body: { ...body, version: session.person?.version ?? body.version } })
    await session.load()
    emit('kept')
  },
})
const ending = useAction()
const endAll = () =>
  ending
    .act(() => call(api.person.signOutEverywhere, { params: { id: session.person?.id ?? '' } }))
    .then((good) => (good ? session.signOut() : undefined))
</script>

<template>
  <form class="space-y-4" novalidate @submit.prevent="submit">
    <h2 class="text-xl font-bold">{{ session.person?.name }}</h2>
    <div class="grid grid-cols-2 gap-4">
      <BodyField v-slot="{ bind }" :of="fields" name="units"><ChoiceField v-bind="bind" label="Units" :choices="units" /></BodyField>
      <BodyField v-slot="{ bind }" :of="fields" name="decimal">
        <ChoiceField v-bind="bind" label="Decimal sign" :choices="decimals" />
      </BodyField>
    </div>
    <BodyField v-slot="{ bind }" :of="fields" name="letterKeys">
      <SwitchField v-bind="bind" label="Single keys" detail="1 to 8, /, ?, L, and H, T during a run; Space and the pedal always count" />
    </BodyField>
    <BodyField v-slot="{ bind }" :of="fields" name="sounds">
      <SwitchField v-bind="bind" label="Sounds" detail="cues of the clock" />
    </BodyField>
    <ProblemLine :problem="rest || ending.problem.value" />
    <div class="flex flex-wrap gap-3">
      <button class="button button-main" :disabled="busy">Keep mine</button>
      <button type="button" class="button" :disabled="ending.busy.value" @click="endAll">Sign out everywhere</button>
    </div>
  </form>
</template>
