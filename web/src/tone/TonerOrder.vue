<script setup lang="ts">
import { tonerKinds, tonerOrder, type TonerKind } from '@selvrin/core'
import { computed, ref } from 'vue'
import FindingList from '../marks/FindingList.vue'
import { tonerNames } from './useBook'

/** Several toners one after another: what they give, and what speaks against their order. */
const order = ref<TonerKind[]>([])
const says = computed(() => tonerOrder(order.value))
const add = (kind: TonerKind): void => {
  if (order.value.length < 4) order.value = [...order.value, kind]
}
</script>

<template>
  <section aria-labelledby="several">
    <h2 id="several" class="mb-2 text-2xl font-bold">Several toners</h2>
    <p class="mb-2 text-lg" role="status">
      {{ order.length === 0 ? 'Press them in the order they come.' : order.map((one) => tonerNames[one]).join(' → ') }}
    </p>
    <div class="mb-2 flex flex-wrap gap-2">
      <button
        v-for="kind in tonerKinds"
        :key="kind"
        type="button"
        class="button button-small"
        :disabled="order.length >= 4"
        @click="add(kind)"
      >
        {{ tonerNames[kind] }}
      </button>
      <button v-if="order.length > 0" type="button" class="button button-small" @click="order = []">Begin again</button>
    </div>
    <p v-for="colour in says.colours" :key="colour" class="text-lg font-semibold">{{ colour }}</p>
    <FindingList :findings="says.findings" />
  </section>
</template>
