<script setup lang="ts">
import { computed, ref } from 'vue'
import FormPanel from '../fields/FormPanel.vue'
import SetupFields from './SetupFields.vue'
import type { PrintView } from './usePrint'
import { useSetup } from './useSetup'

/** The same print at another size, on another paper or enlarger, at another stop: the next try is worked out from the last one. */
const { view } = defineProps<{ view: PrintView }>()
const emit = defineEmits<{ close: [] }>()
const opened = view.sheet.value
const negative = computed(() => opened?.negative ?? { widthMm: 36 })
const setup = useSetup(view.room, negative, opened?.setup, true)
const wrong = ref('')
async function keep(): Promise<void> {
  const read = setup.read()
  wrong.value = typeof read === 'string' ? read : ''
  // a finished print goes on
  if (typeof read !== 'string' && (await view.change({ setup: read, done: false }))) emit('close')
}
</script>

<template>
  <FormPanel
    title="Another size, paper or enlarger"
    yes="Work it out"
    wide
    :busy="view.busy.value"
    :problem="wrong || view.problem.value"
    @close="emit('close')"
    @submit="keep"
  >
    <div class="grid grid-cols-2 gap-3 max-sm:grid-cols-1"><SetupFields :view="setup" /></div>
    <p class="text-quiet">
      Its time goes by size, stop and the speeds of the papers; what was noted for places stays in stops. A strip is surer.
    </p>
  </FormPanel>
</template>
