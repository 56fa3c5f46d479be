<script setup lang="ts">
import { castNamed, type ColourMaterial, type Finding, type PackTurn } from '@selvrin/core'
import { computed } from 'vue'
import FormPanel from '../fields/FormPanel.vue'
import { light } from '../light/light'
import FindingList from '../marks/FindingList.vue'
import MarkedPhotoFields from '../printroom/MarkedPhotoFields.vue'
import { useMarkedPhoto } from '../printroom/useMarkedPhoto'
import { turnWords } from '../printroom/words'
import { pictures } from '../proof/pictures'
import { useShow } from '../session/useShow'

/** A dry print photographed beside a grey card: how far its grey is off, in filter units. */
const { material } = defineProps<{ material: ColourMaterial }>()
const emit = defineEmits<{ close: []; take: [turn: PackTurn] }>()
const show = useShow()
const of = useMarkedPhoto<{ turn: PackTurn; findings: Finding[] }>(
  [
    { key: 'card', name: 'The grey card', first: { x: 0.06, y: 0.4, width: 0.14, height: 0.2 } },
    { key: 'print', name: 'Grey in the print', first: { x: 0.55, y: 0.45, width: 0.1, height: 0.1 } },
  ],
  async ([card, print]) =>
    card && print ? await pictures().cast({ card, print, material }) : { problem: 'Mark the card and the grey of the print.' },
)
const { found } = of
/** whole units: that is what a dial can be set to */
const turn = computed(() => found.value && { y: Math.round(found.value.turn.y), m: Math.round(found.value.turn.m) })
const isRight = computed(() => turn.value !== null && turn.value.y === 0 && turn.value.m === 0)
const named = computed(() => found.value && castNamed(found.value.turn, material))
</script>

<template>
  <FormPanel
    title="Beside a grey card"
    yes="Take it"
    wide
    :busy="false"
    problem=""
    :blocked="turn === null || isRight"
    @close="emit('close')"
    @submit="turn && emit('take', turn)"
  >
    <p v-if="light !== 'white'" class="text-lg">A print is photographed in white light, fixed and dry, beside a grey card.</p>
    <template v-else>
      <p>
        The dry print and a grey card side by side, in the same light, nothing shining back. Then mark the card, and something in the print
        that is neutral grey. Strong casts are taken out by eye first.
      </p>
      <MarkedPhotoFields :of="of" ask="Photograph print and card">
        <template v-if="found && turn">
          <p class="text-2xl" role="status">
            <template v-if="isRight">No cast that a dial could take out.</template>
            <template v-else
              ><b class="font-mono">{{ turnWords(turn) }}</b
              >{{ named ? `: too ${named.cast} by ${show.number(named.units, 0)}` : ', hardly to be seen' }}</template
            >
          </p>
          <p class="text-quiet">Approximate: a camera’s colours are not those of the paper. The eye has the last word.</p>
          <FindingList :findings="found.findings" />
        </template>
      </MarkedPhotoFields>
    </template>
  </FormPanel>
</template>
