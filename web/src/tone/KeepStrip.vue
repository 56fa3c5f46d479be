<script setup lang="ts">
import { ratioAt, showTime, type Bleaching, type TonerKind } from '@selvrin/core'
import { pictureBytes, toneApi } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ChoiceField from '../fields/ChoiceField.vue'
import { readFigure } from '../fields/figure'
import FormPanel from '../fields/FormPanel.vue'
import PressOne from '../fields/PressOne.vue'
import ProgressBar from '../fields/ProgressBar.vue'
import QuantityField from '../fields/QuantityField.vue'
import TextField from '../fields/TextField.vue'
import { light } from '../light/light'
import { useRoom } from '../printroom/useRoom'
import { useShow } from '../session/useShow'

/** A toned strip goes into the swatch book, with its ratio, its times and its photograph. */
const { tone, bleaching, bleachS, toneS } = defineProps<{
  tone: number
  bleaching: Bleaching
  bleachS: number | null
  toneS: number | null
}>()
const emit = defineEmits<{ close: [] }>()
const show = useShow()
const room = useRoom()
const toner = ref<TonerKind | null>(bleaching === 'pulled' ? 'sulfide-pulled' : 'sulfide-complete')
const isSulfide = computed(() => toner.value === 'sulfide-pulled' || toner.value === 'sulfide-complete')
const opened = ratioAt(tone)
const [thiourea, hydroxide, water, note] = [ref(show.plain(opened.thiourea)), ref(show.plain(opened.hydroxide)), ref('9'), ref('')]
const [bleached, toned] = [ref(bleachS), ref(toneS)]
const paper = ref<string | null>(null)
const papers = computed(() => (room.there.value?.papers ?? []).map(({ name }) => ({ value: name, name })))
const file = ref<File | null>(null)
const wrong = ref('')
const id = uuid()
const sent = ref<number | null>(null)
/** it stands in the book; its photograph may still be on the way */
const isKept = ref(false)
const { busy, problem, act } = useAction()
async function keep(): Promise<void> {
  wrong.value = ''
  const [t, h, n] = [thiourea, hydroxide, water].map((one) => readFigure(one.value))
  if (isSulfide.value && (!t || !h)) return void (wrong.value = 'The ratio is two numbers, such as 80 and 40.')
  if (paper.value === null) return void (wrong.value = 'On which paper is it?')
  if (file.value && file.value.size > pictureBytes) return void (wrong.value = 'The photograph is too large to keep. Take it smaller.')
  const body = {
    ...{ toner: toner.value ?? 'sulfide-complete', ratio: isSulfide.value ? { thiourea: t ?? 0, hydroxide: h ?? 0 } : null },
    ...{ dilution: toner.value === 'selenium' ? (n ?? null) : null },
    bleaching: isSulfide.value ? (toner.value === 'sulfide-pulled' ? ('pulled' as const) : ('complete' as const)) : null,
    ...{ bleachS: isSulfide.value ? bleached.value : null, toneS: toned.value, paper: paper.value, note: note.value },
  }
  const good = await act(async () => {
    if (!isKept.value) await call(toneApi.keep, { body: { id, body } })
    isKept.value = true
    if (file.value) await call(toneApi.putPhoto, { params: { id }, body: {}, file: file.value, sent: (share) => void (sent.value = share) })
  })
  sent.value = null
  if (good) emit('close')
}
</script>

<template>
  <FormPanel
    title="Into the swatch book"
    :yes="isKept ? 'Send the photograph again' : 'Keep it'"
    wide
    :busy="busy"
    :problem="wrong || problem"
    @close="emit('close')"
    @submit="keep"
  >
    <PressOne
      v-model="toner"
      label="Toner"
      :choices="[
        { value: 'sulfide-complete', name: 'thiourea' },
        { value: 'sulfide-pulled', name: 'thiourea, pulled' },
        { value: 'selenium', name: 'selenium' },
        { value: 'gold', name: 'gold' },
      ]"
    />
    <div class="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
      <ChoiceField v-model="paper" label="Paper" :choices="papers" />
      <template v-if="isSulfide">
        <TextField v-model="thiourea" label="Thiourea stock" hint="parts" />
        <TextField v-model="hydroxide" label="Hydroxide stock" hint="parts" />
        <QuantityField v-model="bleached" label="Bleached for" kind="time" />
      </template>
      <TextField v-if="toner === 'selenium'" v-model="water" label="Water to one part" />
      <QuantityField v-model="toned" label="Toned for" kind="time" />
      <TextField v-model="note" label="Note, if any" />
    </div>
    <p v-if="light !== 'white'" class="text-quiet">Its photograph is taken in white light, once it is dry.</p>
    <label v-else class="button cursor-pointer">
      {{ file?.name ?? 'Photograph the dry strip' }}
      <input
        type="file"
        accept="image/png,image/jpeg"
        capture="environment"
        class="sr-only"
        @change="file = ($event.target as HTMLInputElement).files?.[0] ?? null"
      />
    </label>
    <ProgressBar v-if="sent !== null" :share="sent" words="Sending the photograph" :stoppable="false" />
    <p v-if="toneS !== null" class="text-quiet">The clock had {{ showTime(toneS) }} for the toner.</p>
  </FormPanel>
</template>
