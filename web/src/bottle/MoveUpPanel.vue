<script setup lang="ts">
import { decideMovingUp } from '@selvrin/core'
import { api, type BottlePage } from '@selvrin/core/contract'
import { computed, watch } from 'vue'
import { call } from '../api/call'
import BodyField from '../fields/BodyField.vue'
import ChoiceField from '../fields/ChoiceField.vue'
import { useContractForm } from '../fields/useContractForm'
import ActPanel from './ActPanel.vue'
import { useTwins } from './useTwins'

/** The first bath of a pair is used up: the second becomes the first, a fresh one the second. */
const { bottle } = defineProps<{ bottle: BottlePage }>()
const emit = defineEmits<{ close: []; done: [] }>()
const place = computed(() => bottle.state.twoBath)
const { choices, named } = useTwins(bottle)
const [firsts, unpaired] = [choices(1), choices(null)]
const { form, fields, typed, busy, rest, submit } = useContractForm(api.bottle.moveUp, {
  begin: () => ({ firstId: firsts.value[0]?.value ?? null, freshId: null }),
  send: async (body) => {
    await call(api.bottle.moveUp, { params: { id: bottle.id }, body })
    emit('done')
  },
})
// the shelf may come later than the panel
watch(firsts, ([only]) => typed.value.firstId === null && only && form.setFieldValue('firstId', only.value))
const first = computed(() => named(typed.value.firstId))
const fresh = computed(() => named(typed.value.freshId))
const decide = () => (first.value && fresh.value ? decideMovingUp(first.value, bottle, fresh.value) : null)
const involved = computed(() => [first.value, bottle, fresh.value].filter((one) => one !== undefined))
</script>

<template>
  <ActPanel
    :title="`Two baths: ${bottle.label} ${bottle.name}`"
    :yes="`Move ${bottle.label} up`"
    :decide="decide"
    :bottles="involved"
    :busy="busy"
    :problem="rest"
    @close="$emit('close')"
    @submit="submit"
  >
    <p v-if="place">
      Move {{ place.moves + 1 }} of {{ bottle.use.twoBath?.moves ?? 0 }}: the first bath is discarded, {{ bottle.label }} becomes the first,
      a fresh bath the second.
    </p>
    <BodyField v-slot="{ bind }" :of="fields" name="firstId">
      <ChoiceField v-bind="bind" label="Discarded first bath" :choices="firsts" placeholder="none" />
    </BodyField>
    <BodyField v-slot="{ bind }" :of="fields" name="freshId">
      <ChoiceField v-bind="bind" label="Fresh second bath" :choices="unpaired" placeholder="mix one of the same formula first" />
    </BodyField>
    <RouterLink v-if="unpaired.length === 0" :to="`/formulary/${bottle.formulaId}`" class="link inline-flex min-h-11 items-center"
      >Mix a fresh {{ bottle.name }}</RouterLink
    >
    <p class="text-quiet">The discarded bath goes to the silver waste.</p>
  </ActPanel>
</template>
