<script setup lang="ts">
import ChoiceField from '../fields/ChoiceField.vue'
import TextField from '../fields/TextField.vue'
import { useShow } from '../session/useShow'
import type { SetupView } from './useSetup'

/** Size, paper, enlarger, lens stop and developer of a print. */
const { view } = defineProps<{ view: SetupView }>()
const show = useShow()
const { boxId, enlargerId, lenses, lens, column, width, stop, developer, m } = view
</script>

<template>
  <TextField v-model="width" label="Picture on the paper" :hint="m === null ? 'cm wide' : `cm wide; enlarged ${show.number(m, 1)} times`" />
  <ChoiceField v-model="boxId" label="Paper" :choices="view.room.boxChoices.value" />
  <ChoiceField v-model="enlargerId" label="Enlarger" :choices="view.room.enlargerChoices.value" />
  <ChoiceField v-if="lenses.length > 0" v-model="lens" label="Lens" :choices="lenses" />
  <TextField
    v-if="lens !== null"
    :model-value="column"
    label="Or along the column"
    hint="cm from negative to paper"
    @update:model-value="view.typeColumn($event)"
  />
  <TextField v-model="stop" label="Lens stop" hint="f/" />
  <TextField v-model="developer" label="Developer" hint="and its dilution" />
</template>
