<script setup lang="ts">
import { exposureApi } from '@selvrin/core/contract'
import { computed, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ChoiceField from '../fields/ChoiceField.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import { usePeople } from '../stores'

/** Which technicians read the notes of others: named by one who does. */
const { readers } = defineProps<{ readers: { id: string; name: string }[] }>()
const emit = defineEmits<{ done: [] }>()
const people = usePeople()
void people.load()
const chosen = ref<string | null>(null)
const choices = computed(() =>
  people.rows
    .filter((one) => one.role === 'technician' && one.active && !readers.some(({ id }) => id === one.id))
    .map((one) => ({ value: one.id, name: one.name })),
)
const { busy, problem, act } = useAction()
async function set(personId: string, reads: boolean): Promise<void> {
  if (await act(() => call(exposureApi.reader, { body: { personId, reads } }))) emit('done')
  chosen.value = null
}
</script>

<template>
  <section class="mt-8 max-w-xl" aria-labelledby="readers">
    <h2 id="readers" class="mb-2 text-2xl font-bold">Who reads the notes of others</h2>
    <ul class="mb-3">
      <li v-for="one in readers" :key="one.id" class="flex flex-wrap items-center gap-3 py-1">
        {{ one.name }}
        <button type="button" class="button button-small" :disabled="busy" @click="set(one.id, false)">
          Not any more<span class="sr-only">: {{ one.name }}</span>
        </button>
      </li>
    </ul>
    <div v-if="choices.length > 0" class="flex flex-wrap items-end gap-3">
      <ChoiceField v-model="chosen" label="A technician" :choices="choices" class="min-w-56" />
      <button type="button" class="button" :disabled="busy || chosen === null" @click="chosen && set(chosen, true)">Name them</button>
    </div>
    <ProblemLine :problem="problem" />
  </section>
</template>
