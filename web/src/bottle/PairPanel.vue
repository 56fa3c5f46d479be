<script setup lang="ts">
import { decidePairing } from '@selvrin/core'
import { api, type BottlePage } from '@selvrin/core/contract'
import { computed } from 'vue'
import { call } from '../api/call'
import { now } from '../clock'
import BodyField from '../fields/BodyField.vue'
import ChoiceField from '../fields/ChoiceField.vue'
import ModalPanel from '../fields/ModalPanel.vue'
import { useContractForm } from '../fields/useContractForm'
import ActPanel from './ActPanel.vue'
import MoveUpPanel from './MoveUpPanel.vue'
import { useTwins } from './useTwins'

/** Two fixing baths: which is first and which second, and the move when the first is used up. */
const { bottle } = defineProps<{ bottle: BottlePage }>()
const emit = defineEmits<{ close: []; done: [] }>()
const place = computed(() => bottle.state.twoBath)
const { choices, named } = useTwins(bottle)
const [seconds, unpaired] = [choices(2), choices(null)]
const { fields, typed, busy, rest, submit } = useContractForm(api.bottle.pair, {
  begin: () => ({ firstId: bottle.id, secondId: null }),
  send: async (body) => {
    await call(api.bottle.pair, { body })
    emit('done')
  },
})
const second = computed(() => named(typed.value.secondId))
const decide = () => (second.value ? decidePairing(bottle, second.value, now()) : null)
</script>

<template>
  <MoveUpPanel v-if="place?.position === 2" :bottle="bottle" @close="$emit('close')" @done="$emit('done')" />
  <ModalPanel v-else-if="place" open :title="`Two baths: ${bottle.label} ${bottle.name}`" @close="$emit('close')">
    <div class="space-y-4">
      <p>
        {{ bottle.label }} is the first bath of a pair, after {{ place.moves }} of {{ bottle.use.twoBath?.moves ?? 0 }} moves. When it is
        used up, open the second bath and move that up.
      </p>
      <RouterLink v-for="one in seconds" :key="one.value" :to="`/shelf/${one.value}`" class="button" @click="$emit('close')"
        >Open {{ one.name }}</RouterLink
      >
    </div>
  </ModalPanel>
  <ActPanel
    v-else
    :title="`Two baths: ${bottle.label} ${bottle.name}`"
    yes="Pair them"
    :decide="decide"
    :bottles="second ? [bottle, second] : [bottle]"
    :busy="busy"
    :problem="rest"
    @close="$emit('close')"
    @submit="submit"
  >
    <p>{{ bottle.label }} becomes the first bath: half the fixing time in it, half in the second.</p>
    <BodyField v-slot="{ bind }" :of="fields" name="secondId">
      <ChoiceField v-bind="bind" label="Second bath" :choices="unpaired" placeholder="mix another of the same formula first" />
    </BodyField>
    <RouterLink v-if="unpaired.length === 0" :to="`/formulary/${bottle.formulaId}`" class="link inline-flex min-h-11 items-center"
      >Mix another {{ bottle.name }}</RouterLink
    >
  </ActPanel>
</template>
