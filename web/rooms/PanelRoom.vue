<script setup lang="ts">
import { defineAsyncComponent, ref, type Component } from 'vue'
import ModalPanel from '../src/fields/ModalPanel.vue'
import { chartRow, instrument, jarPage, limits, page, run } from './samples'

/** Every panel, opened by its button; nothing they send arrives anywhere. */
interface Sample {
  is: Component
  with: Record<string, unknown>
}
const of = (load: () => Promise<Component>, more: Record<string, unknown> = {}): Sample => ({ is: defineAsyncComponent(load), with: more })
const bottle = { bottle: page }
const taking = {
  what: 'Used, 2 rolls',
  says: 'The rolls come off its count.',
  busy: false,
  problem: 'Something later came from it: take that back first.',
}
const panels: Record<string, Sample> = {
  Pour: of(() => import('../src/bottle/PourPanel.vue'), bottle),
  Used: of(() => import('../src/bottle/UsedPanel.vue'), bottle),
  Replenish: of(() => import('../src/bottle/ReplenishPanel.vue'), bottle),
  Dilute: of(() => import('../src/bottle/DilutePanel.vue'), bottle),
  Decant: of(() => import('../src/bottle/DecantPanel.vue'), bottle),
  Measure: of(() => import('../src/bottle/MeasurePanel.vue'), bottle),
  Move: of(() => import('../src/bottle/StandPanel.vue'), bottle),
  Pair: of(() => import('../src/bottle/PairPanel.vue'), bottle),
  'Move up': of(() => import('../src/bottle/MoveUpPanel.vue'), bottle),
  'Used otherwise': of(() => import('../src/bottle/SchoolPanel.vue'), bottle),
  'Wrong bottle': of(() => import('../src/bottle/WrongPanel.vue'), bottle),
  'pH off': of(() => import('../src/bottle/PhWhyPanel.vue'), {
    bottle: { ...page, phOff: { batchId: 'b', ph: 8.1, celsius: 20, expected: 8.5, uncertainty: 0.2 } },
  }),
  Retire: of(() => import('../src/bottle/RetirePanel.vue'), bottle),
  Shelves: of(() => import('../src/bottle/ShelvesPanel.vue')),
  'Take back': of(() => import('../src/fields/TakeBackPanel.vue'), taking),
  'New jar': of(() => import('../src/jar/NewJarPanel.vue')),
  'Edit a jar': of(() => import('../src/jar/EditJarPanel.vue'), { jar: jarPage }),
  'Line of a jar': of(() => import('../src/jar/JarEntryPanel.vue'), { jar: jarPage }),
  Chemical: of(() => import('../src/chemical/ChemicalPanel.vue'), { chemical: null }),
  'Row of the chart': of(() => import('../src/chart/ChartRowPanel.vue'), { row: chartRow, developer: 'Soft borax developer' }),
  Rule: of(() => import('../src/proof/RulePanel.vue'), { rule: null, title: 'A new rule' }),
  Limits: of(() => import('../src/proof/LimitsPanel.vue'), { instrument, limits }),
  Device: of(() => import('../src/device/DevicePanel.vue'), { device: null }),
  'In the tank': of(() => import('../src/run/TankTemperature.vue'), { runId: run.id, step: 0, open: true }),
  'Give up': of(() => import('../src/run/GiveUpPanel.vue'), { run, open: true }),
}
const open = ref<string | null>(new URLSearchParams(location.search).get('panel'))
const close = () => (open.value = null)
</script>

<template>
  <div class="flex flex-wrap gap-2">
    <button v-for="(_, name) in panels" :key="name" class="button button-small" @click="open = String(name)">{{ name }}</button>
    <button class="button button-small" @click="open = 'empty'">Anything</button>
  </div>
  <component
    :is="panels[open]!.is"
    v-if="open !== null && panels[open]"
    v-bind="panels[open]!.with"
    @close="close"
    @done="close"
    @made="close"
    @kept="close"
  />
  <ModalPanel :open="open === 'empty'" title="A dialog" @close="close"><p>With what it is about.</p></ModalPanel>
</template>
