<script setup lang="ts">
import { coatedProcesses, platinumContrasts } from '@selvrin/core'
import PressOne from '../fields/PressOne.vue'
import TextField from '../fields/TextField.vue'
import { useShow } from '../session/useShow'
import { partName, processNames } from './coatWords'
import type { SheetForm } from './useSheetForm'

/** What a hand-coated sheet is to be. */
const { form, begun } = defineProps<{ form: SheetForm; /** it is coated: what was poured stands */ begun?: boolean }>()
const { typed, isMetal, mix, proposed } = form
const show = useShow()
</script>

<template>
  <PressOne
    v-if="!begun"
    v-model="typed.process"
    label="Process"
    :choices="coatedProcesses.map((value) => ({ value, name: processNames[value] }))"
  />
  <div class="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
    <TextField v-model="typed.title" label="Name" hint="such as: reeds at low water" begin />
    <TextField v-model="typed.negative" label="Negative" hint="which one" />
    <TextField v-model="typed.range" label="Its density range" hint="by UV, shadow to highlight; empty where nobody measured it" />
    <TextField v-model="typed.paper" label="Paper" />
    <TextField v-model="typed.price" label="Price of this sheet, if known" />
    <template v-if="!begun">
      <TextField v-model="typed.size" label="Coated size" hint="cm, such as 20 × 25" />
      <TextField v-model="typed.strips" label="Strips beside it" hint="5 × 10 cm each, for finding the time" />
      <TextField v-if="!isMetal" v-model="typed.mlPer1000" label="This paper takes" hint="ml for 1,000 cm²: 2.4 to 3.2" />
      <TextField v-model="typed.drops" label="Drops in a ml" hint="count them into a syringe: 20 is usual" />
      <TextField v-if="typed.process === 'palladium'" v-model="typed.platinum" label="Drops of platinum in it" hint="colder, harder" />
    </template>
  </div>
  <template v-if="!begun">
    <div class="flex flex-wrap gap-x-6 gap-y-3">
      <PressOne
        v-model="typed.coatedWith"
        label="Coated with"
        :choices="[
          { value: 'brush', name: 'brush' },
          { value: 'rod', name: 'rod' },
        ]"
      />
      <PressOne
        v-model="typed.coats"
        label="Coats"
        :choices="[
          { value: 1, name: 'one coat' },
          { value: 2, name: 'two coats' },
        ]"
      />
    </div>
    <div v-if="isMetal" class="flex flex-wrap items-center gap-3">
      <PressOne v-model="typed.contrast" label="Contrast" :choices="platinumContrasts.map((value) => ({ value, name: value }))" />
      <button v-if="proposed && proposed !== typed.contrast" type="button" class="link min-h-11" @click="typed.contrast = proposed">
        its range asks for {{ proposed }}
      </button>
    </div>
    <p v-if="typeof mix === 'string'" class="font-semibold text-alarm" role="alert">{{ show.said(mix) }}</p>
    <p v-else-if="mix" class="border-l-4 border-line pl-3" role="status">
      <template v-for="(one, i) in mix.parts" :key="one.part"
        >{{ i > 0 ? ', ' : '' }}<b class="font-mono">{{ one.drops }}</b> drops {{ partName(one.part) }}</template
      >. It prints a negative of range <b class="font-mono">{{ show.number(mix.scale, 2) }}</b>.
    </p>
  </template>
</template>
