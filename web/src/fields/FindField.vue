<script setup lang="ts">
import { computed, useId } from 'vue'
import { useRoute } from 'vue-router'
import { useKept } from '../hand/useKept'

/** A search over a list, kept while one looks at a hit and comes back. `count` is how many are shown; `of` how many there are, or whether there are `more`. */
const { kept, count, of, more } = defineProps<{ label: string; kept: string; count: number; of?: number; more?: boolean; what: string }>()
const model = defineModel<string>({ required: true })
useKept(`find ${kept}`, model)
// what the address asks for goes before what was kept
const route = useRoute()
if (typeof route.query.find === 'string') model.value = route.query.find
const id = useId()
const shown = computed(() => (of === undefined ? `${count}${more ? ' and more' : ''}` : `${count} of ${of}`))
const searching = computed(() => model.value.trim() !== '')
</script>

<template>
  <div class="min-w-56">
    <label :for="id" class="mb-1 block font-semibold">{{ label }}</label>
    <span class="relative block">
      <input :id="id" v-model="model" class="input pr-12" autocomplete="off" @keydown.esc.stop="model = ''" />
      <button
        v-if="searching"
        type="button"
        class="absolute inset-y-0 right-0 w-11 cursor-pointer"
        aria-label="Show all again"
        @click="model = ''"
      >
        ✕
      </button>
    </span>
    <p class="mt-1 text-quiet" role="status">{{ searching ? `${shown} ${what}` : '' }}</p>
  </div>
</template>
