<script setup lang="ts">
import { traysApi } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ChoiceField from '../fields/ChoiceField.vue'
import FormPanel from '../fields/FormPanel.vue'
import PressOne from '../fields/PressOne.vue'
import TextField from '../fields/TextField.vue'
import { useShow } from '../session/useShow'
import type { RoomView } from './useRoom'
import { useWedges } from './useWedges'
import { gradeName } from './words'

/** A head's own dials: a step wedge printed at each of a few settings, read by its steps. */
const { room } = defineProps<{ room: RoomView }>()
const emit = defineEmits<{ close: [] }>()
const show = useShow()
const { heads, papers, enlargerId, paperId, stepD, key, developer, rows, more, less, said, body, replaces } = useWedges(room)
const wrong = ref('')
const id = uuid()
const { busy, problem, act } = useAction()
async function keep(): Promise<void> {
  const made = body()
  wrong.value = typeof made === 'string' ? made : ''
  if (typeof made !== 'string' && (await act(() => call(traysApi.calibrate, { body: { id, body: made } })))) emit('close')
}
</script>

<template>
  <FormPanel
    title="Dials by wedges"
    yes="It goes by them from now on"
    wide
    :busy="busy"
    :problem="wrong || problem"
    :blocked="heads.length === 0"
    @close="emit('close')"
    @submit="keep"
  >
    <p v-if="heads.length === 0" class="text-lg">No enlarger here has a head with dials.</p>
    <template v-else>
      <p>
        A step wedge in contact with the paper, once at each setting, developed alike, dried. Steps are counted from the clearest one;
        halves where it lies between two.
      </p>
      <div class="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
        <ChoiceField v-model="enlargerId" label="Head" :choices="heads" />
        <ChoiceField v-model="paperId" label="Paper" :choices="papers" />
        <TextField v-model="developer" label="Developer" hint="and its dilution" />
      </div>
      <div class="flex flex-wrap gap-x-8 gap-y-3">
        <div>
          <p class="mb-1 font-semibold">A step of the wedge is denser by</p>
          <PressOne
            v-model="stepD"
            label="A step of the wedge is denser by"
            :choices="[0.1, 0.15, 0.3].map((value) => ({ value, name: `D ${show.number(value, 2)}` }))"
          />
        </div>
        <div>
          <p class="mb-1 font-semibold">When the grade changes</p>
          <PressOne
            v-model="key"
            label="When the grade changes"
            :choices="[
              { value: 'middle', name: 'a middle grey stays' },
              { value: 'light', name: 'a light tone stays' },
            ]"
          />
        </div>
      </div>
      <fieldset v-for="(row, i) in rows" :key="i" class="border-t border-line pt-2">
        <legend class="sr-only">Wedge {{ i + 1 }}</legend>
        <div class="grid grid-cols-[repeat(auto-fit,minmax(5.75rem,1fr))] items-start gap-x-3">
          <TextField v-model="row.y" label="Yellow" hint="dial" />
          <TextField v-model="row.m" label="Magenta" hint="dial" />
          <TextField v-model="row.seconds" label="Exposed" hint="s" />
          <TextField v-model="row.black" label="Below black" hint="first step" />
          <TextField v-model="row.grey" label="Mid grey" hint="step" />
          <TextField v-if="key === 'light'" v-model="row.light" label="Light tone" hint="step" />
          <TextField v-model="row.white" label="Still grey" hint="last step" />
        </div>
        <div class="mt-1 flex min-h-11 flex-wrap items-center gap-4">
          <p class="flex-1 text-lg" role="status">
            <template v-if="said[i]?.problem">{{ said[i]?.problem }}</template>
            <template v-else-if="said[i]?.range"
              >Range <b class="font-mono">{{ show.number(said[i]?.range ?? 0, 0) }}</b>{{
                said[i]?.grade ? `, near grade ${gradeName(said[i]?.grade ?? '')}` : ', harder than any grade'
              }}</template
            >
          </p>
          <button v-if="rows.length > 2" type="button" class="button button-small" @click="less(i)">
            Take out<span class="sr-only"> wedge {{ i + 1 }}</span>
          </button>
        </div>
      </fieldset>
      <button type="button" class="button" :disabled="rows.length >= 20" @click="more">Another setting</button>
      <p v-if="replaces" class="text-lg">It has wedges on this paper already; these take their place.</p>
    </template>
  </FormPanel>
</template>
