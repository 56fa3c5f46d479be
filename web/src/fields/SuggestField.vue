<script setup lang="ts">
import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/vue'
import { computed, nextTick, onMounted, ref, useId, useTemplateRef } from 'vue'
import { useTyping } from '../hand/typed'
import FieldFrame from './FieldFrame.vue'
import { matches } from './matches'

/** Text that most likely is one of those known: a few letters find it, and anything else is taken as it is typed. */
const { known, begin } = defineProps<{
  label: string
  known: readonly string[]
  hint?: string
  problem?: string
  /** takes the focus with its dialog */
  begin?: boolean
}>()
const model = defineModel<string | null>({ required: true })
const emit = defineEmits<{ taken: [text: string] }>()
const id = useId()
const typing = useTyping()
/** as many as fit above a phone's keyboard */
const most = 6
const asked = ref('')
const found = computed(() => known.filter((one) => matches(one, asked.value) && one !== model.value).slice(0, most))
function type(text: string): void {
  typing()
  asked.value = text
  model.value = text
}
const input = useTemplateRef<{ $el: HTMLInputElement }>('input')
// after the dialog has placed the focus itself
onMounted(() => begin && setTimeout(() => input.value?.$el.focus()))
/** Enter takes the one that is marked; the field keeps what it holds. */
function take(text: unknown): void {
  if (typeof text !== 'string') return
  typing()
  model.value = text
  asked.value = ''
  void nextTick(() => emit('taken', text))
}
</script>

<template>
  <FieldFrame :id="id" :label="label" :hint="hint ?? ''" :problem="problem ?? ''">
    <Combobox :model-value="model ?? ''" as="div" class="relative" @update:model-value="take">
      <ComboboxInput
        :id="id"
        ref="input"
        class="input"
        autocomplete="off"
        :display-value="() => model ?? ''"
        :aria-invalid="problem ? 'true' : undefined"
        :aria-describedby="problem ? `${id}-problem` : hint ? `${id}-hint` : undefined"
        @change="type(($event.target as HTMLInputElement).value)"
      />
      <ComboboxOptions
        v-if="asked.trim() !== '' && found.length > 0"
        class="absolute z-30 mt-1 w-full overflow-auto rounded-sm border-2 border-ink bg-panel py-1 focus:outline-none"
      >
        <ComboboxOption v-for="one in found" :key="one" v-slot="{ active }" :value="one" as="template">
          <li class="min-h-11 cursor-pointer px-3 py-2" :class="active ? 'bg-primary text-on-primary' : ''">{{ one }}</li>
        </ComboboxOption>
      </ComboboxOptions>
    </Combobox>
  </FieldFrame>
</template>
