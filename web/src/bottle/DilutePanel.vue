<script setup lang="ts">
import { decideDilution, dilute } from '@selvrin/core'
import { api, type Bottle } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, watch } from 'vue'
import { useRouter } from 'vue-router'
import { call } from '../api/call'
import BodyField from '../fields/BodyField.vue'
import QuantityField from '../fields/QuantityField.vue'
import RatioField from '../fields/RatioField.vue'
import { useContractForm } from '../fields/useContractForm'
import { useShow } from '../session/useShow'
import ActPanel from './ActPanel.vue'
import OverruleField from './OverruleField.vue'

const { bottle } = defineProps<{ bottle: Bottle }>()
const emit = defineEmits<{ close: []; made: [] }>()
const show = useShow()
const router = useRouter()
const newId = uuid()
const { form, fields, typed, ready, busy, rest, submit } = useContractForm(api.bottle.dilute, {
  begin: () => ({ newId, parts: bottle.use.dilutions.find((parts) => parts.length > 1) ?? null, totalMl: 500, sizeMl: 500 }),
  send: async (body) => {
    await call(api.bottle.dilute, { params: { id: bottle.id }, body })
    emit('made')
  },
  then: () => router.push(`/shelf/${newId}`),
})
// the bottle follows until it is given a size of its own
watch(
  () => typed.value.totalMl,
  (ml, before) => {
    const { sizeMl } = typed.value
    if (ml !== null && (sizeMl === before || sizeMl === null || sizeMl < ml)) form.setFieldValue('sizeMl', ml)
  },
)
const amounts = computed(() => {
  const { parts, totalMl } = typed.value
  return parts && totalMl !== null ? dilute({ parts, totalMl }) : null
})
const decide = () => ready.value && decideDilution(bottle, ready.value)
const without = () => ready.value && decideDilution(bottle, { ...ready.value, overrule: undefined })
</script>

<template>
  <ActPanel
    :title="`Working strength from ${bottle.label} ${bottle.name}`"
    yes="Make it and label it"
    :decide="decide"
    :bottles="[bottle]"
    :busy="busy"
    :problem="rest"
    @close="$emit('close')"
    @submit="submit"
  >
    <BodyField v-slot="{ bind }" :of="fields" name="parts">
      <RatioField v-bind="bind" label="Dilution" hint="one part plus the rest, such as 1+4" />
    </BodyField>
    <div class="grid grid-cols-2 gap-4">
      <BodyField v-slot="{ bind }" :of="fields" name="totalMl"><QuantityField v-bind="bind" kind="volume" label="Make" begin /></BodyField>
      <BodyField v-slot="{ bind }" :of="fields" name="sizeMl">
        <QuantityField v-bind="bind" kind="volume" label="Into a bottle of" />
      </BodyField>
    </div>
    <p v-if="amounts" class="text-3xl leading-snug">
      <b class="font-mono">{{ show.volume(amounts[0] ?? 0) }}</b> from {{ bottle.label }}<br />
      <template v-for="(ml, i) in amounts.slice(1)" :key="i"
        >+ <b class="font-mono">{{ show.volume(ml) }}</b> {{ amounts.length > 2 && i < amounts.length - 2 ? `of part ${i + 2}` : 'water'
        }}<br
      /></template>
    </p>
    <BodyField v-slot="{ bind }" :of="fields" name="overrule" optional>
      <OverruleField v-bind="bind" :bottle="bottle" :without="without" />
    </BodyField>
    <p class="text-quiet">
      {{ bottle.label }} holds {{ show.volume(bottle.state.volumeMl) }}. Water first, then the concentrate; gloves on.
    </p>
  </ActPanel>
</template>
