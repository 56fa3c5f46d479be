<script setup lang="ts">
import { defineAsyncComponent, ref, type Component } from 'vue'
import ModalPanel from '../src/fields/ModalPanel.vue'
import TakeBackPanel from '../src/fields/TakeBackPanel.vue'
import { page } from './samples'

/** Panels, each opened by its button; nothing they send arrives anywhere. */
const of = (load: () => Promise<Component>) => defineAsyncComponent(load)
const panels: Record<string, Component> = {
  Pour: of(() => import('../src/bottle/PourPanel.vue')),
  Used: of(() => import('../src/bottle/UsedPanel.vue')),
  Dilute: of(() => import('../src/bottle/DilutePanel.vue')),
  Decant: of(() => import('../src/bottle/DecantPanel.vue')),
  Measure: of(() => import('../src/bottle/MeasurePanel.vue')),
  Retire: of(() => import('../src/bottle/RetirePanel.vue')),
}
const open = ref<string | null>(new URLSearchParams(location.search).get('panel'))
</script>

<template>
  <div class="flex flex-wrap gap-2">
    <button v-for="(_, name) in panels" :key="name" class="button" @click="open = name">{{ name }}</button>
    <button class="button" @click="open = 'empty'">Anything</button>
    <button class="button" @click="open = 'back'">Take back</button>
  </div>
  <component
    :is="panels[open]"
    v-if="open !== null && panels[open]"
    :bottle="page"
    @close="open = null"
    @done="open = null"
    @made="open = null"
  />
  <ModalPanel :open="open === 'empty'" title="A dialog" @close="open = null"><p>With what it is about.</p></ModalPanel>
  <TakeBackPanel
    v-if="open === 'back'"
    what="Used, 2 rolls"
    says="The rolls come off its count."
    :busy="false"
    problem="Something later came from it: take that back first."
    @close="open = null"
  />
</template>
