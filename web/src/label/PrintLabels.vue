<script setup lang="ts">
import { labelSheets, type LabelSheet } from '@selvrin/core/contract'
import { computed, ref, watch } from 'vue'
import ChoiceField from '../fields/ChoiceField.vue'
import ModalPanel from '../fields/ModalPanel.vue'
import TextField from '../fields/TextField.vue'

/** A button that prints labels: which sheet, and from which place on it. */
const { bottles, jars, name } = defineProps<{ bottles?: string[]; jars?: string[]; name: string; small?: boolean }>()
const open = ref(false)
const names: Record<LabelSheet, string> = {
  plain: 'Plain paper, to cut',
  'a4-24': 'A4, 24 labels of 70 × 37 mm',
  'a4-14': 'A4, 14 labels of 99 × 38 mm',
  'letter-30': 'Letter, 30 labels of 67 × 25 mm',
  'letter-10': 'Letter, 10 labels of 102 × 51 mm',
}
const key = 'label sheet'
const sheet = ref<LabelSheet | null>(labelSheets.find((one) => one === localStorage.getItem(key)) ?? 'plain')
watch(sheet, (value) => value && localStorage.setItem(key, value))
const choices = labelSheets.map((value) => ({ value, name: names[value] }))
const from = ref('1')
const place = computed(() => (/^\d{1,2}$/.test(from.value.trim()) && Number(from.value) > 0 ? Number(from.value) : null))
const address = computed(() => {
  const query = new URLSearchParams({ sheet: sheet.value ?? 'plain', from: String(place.value ?? 1) })
  if (bottles?.length) query.set('bottles', bottles.join())
  if (jars?.length) query.set('jars', jars.join())
  return `/api/print/labels?${query}`
})
</script>

<template>
  <button type="button" class="button" :class="small ? 'button-small min-h-14' : ''" @click="open = true">{{ name }}</button>
  <ModalPanel :open="open" title="Print labels" @close="open = false">
    <div class="space-y-4">
      <ChoiceField v-model="sheet" label="On" :choices="choices" />
      <TextField v-model="from" label="First free place on the sheet" :problem="place === null ? 'Write a number such as 1.' : ''" />
      <p class="text-quiet">Each carries a code that opens it when it is scanned or typed into the finder.</p>
      <div class="flex gap-3">
        <a class="button button-main" :href="address" target="_blank" rel="noopener" @click="open = false">Open the PDF</a>
        <button type="button" class="button" @click="open = false">Not now</button>
      </div>
    </div>
  </ModalPanel>
</template>
