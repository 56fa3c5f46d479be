<script setup lang="ts">
import { stripMeasureNames, type ControlFlag, type StripMeasure } from '@selvrin/core'
import { LineChart } from 'echarts/charts'
import { GridComponent, MarkLineComponent } from 'echarts/components'
import { use } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import { computed, useTemplateRef } from 'vue'
import { chartStyle } from '../chart/style'
import { useChart } from '../chart/useChart'
import { digits } from '../session/manner'

use([LineChart, GridComponent, MarkLineComponent, SVGRenderer])

/** One measure over the strips: mean, action and control limits by dash, flagged points by shape. */
const { measure, values, days, mean, limits, flags } = defineProps<{
  measure: StripMeasure
  values: number[]
  days: string[]
  mean: number
  limits: { action: number; control: number }
  flags: ControlFlag[]
}>()
const box = useTemplateRef<HTMLDivElement>('box')
const last = computed(() => values.at(-1) ?? mean)
const now = computed(() => flags.filter((flag) => flag.index === values.length - 1))
const words = {
  action: 'past the action limit',
  control: 'past the control limit',
  'two-of-three': 'two of three past action',
  trend: 'six in a row',
  side: 'nine on one side',
}
const off = computed(() => last.value - mean)
const says = computed(() => {
  const distance =
    Math.abs(off.value) < 0.005 ? 'on the mean' : `${off.value > 0 ? '+' : '−'}${digits(Math.abs(off.value), 2)} from ${digits(mean, 2)}`
  const rules = now.value.map((flag) => words[flag.rule]).join(', ')
  return `${stripMeasureNames[measure]} ${digits(last.value, 2)}, ${distance}${rules ? `: ${rules}` : ''}`
})

function option(): Record<string, unknown> {
  const { colour, text, axis } = chartStyle()
  const level = (y: number, name: string, type: 'solid' | 'dashed' | 'dotted', width: number) => ({
    yAxis: y,
    label: {
      formatter: name,
      position: name === 'action' ? ('insideStartBottom' as const) : ('insideEndTop' as const),
      distance: 5,
      ...text,
      fontSize: 14,
    },
    lineStyle: { color: colour('ink'), type, width },
  })
  const reach = 1.25 * Math.max(limits.control, ...values.map((value) => Math.abs(value - mean)))
  return {
    animation: false,
    textStyle: text,
    grid: { left: 52, right: 16, top: 20, bottom: 28 },
    xAxis: { type: 'category', data: days, ...axis, splitLine: { show: false }, axisLabel: { ...text, hideOverlap: true } },
    yAxis: {
      type: 'value',
      min: Number((mean - reach).toFixed(3)),
      max: Number((mean + reach).toFixed(3)),
      ...axis,
      splitLine: { show: false },
      axisLabel: { ...text, formatter: (value: number) => digits(value, 2), showMinLabel: false, showMaxLabel: false },
    },
    series: [
      {
        type: 'line' as const,
        silent: true,
        lineStyle: { width: 2, color: colour('ink') },
        data: values.map((value, index) => {
          const mine = flags.filter((flag) => flag.index === index)
          const stop = mine.some((flag) => flag.rule === 'control')
          return {
            value,
            symbol: stop ? 'rect' : mine.length > 0 ? 'triangle' : 'circle',
            symbolSize: mine.length > 0 ? 15 : 9,
            itemStyle: { color: mine.length > 0 ? colour('alarm') : colour('panel'), borderColor: colour('ink'), borderWidth: 2 },
          }
        }),
        markLine: {
          silent: true,
          symbol: 'none',
          data: [
            level(mean, '', 'solid', 1),
            level(mean + limits.action, 'action', 'dashed', 2),
            level(mean - limits.action, '', 'dashed', 2),
            level(mean + limits.control, 'control', 'solid', 3),
            level(mean - limits.control, '', 'solid', 3),
          ],
        },
      },
    ],
  }
}
useChart(box, option, () => [values, mean])
</script>

<template>
  <figure>
    <figcaption :class="now.length > 0 ? 'font-bold' : ''">{{ says }}</figcaption>
    <div ref="box" class="h-44 w-full" role="img" :aria-label="says" />
  </figure>
</template>
