<script setup lang="ts">
import LifeChart from '../src/bottle/LifeChart.vue'
import LineChart from '../src/chart/LineChart.vue'
import ControlChart from '../src/proof/ControlChart.vue'
import TrendChart from '../src/proof/TrendChart.vue'
import { control, curves, life, trend } from './samples'
import { today } from '../src/test/shelf'

/** Charts: told apart by dash and weight, since red light has one colour. */
</script>

<template>
  <LineChart
    :lines="curves"
    x-name="EI"
    y-name="minutes"
    says="Two developers against the exposure index."
    :mark="{ x: 400, name: 'as rated' }"
  />
  <LineChart :lines="curves.slice(0, 1)" x-name="EI" y-name="minutes" says="One developer against the exposure index." />
  <TrendChart :trend="trend" />
  <ControlChart v-bind="control" />
  <LifeChart :curve="life" zone="UTC" :now="today" />
</template>
