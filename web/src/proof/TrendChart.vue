<script setup lang="ts">
import { LineChart, ScatterChart } from 'echarts/charts'
import { GridComponent, MarkAreaComponent, MarkLineComponent } from 'echarts/components'
import { init, use, type EChartsType } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import { onBeforeUnmount, onMounted, useTemplateRef, watch } from 'vue'
import { chartStyle } from '../chart/style'
import { light } from '../room/light'
import type { Trend } from './trend'

use([LineChart, ScatterChart, GridComponent, MarkAreaComponent, MarkLineComponent, SVGRenderer])

/** Readings against use, the fit through them, the limit it runs towards, and where between it may cross. */
const { trend } = defineProps<{ trend: Trend }>()
const box = useTemplateRef<HTMLDivElement>('box')
let chart: EChartsType | undefined
let watcher: ResizeObserver | undefined

function draw(): void {
  if (!chart) return
  const { colour, text, axis } = chartStyle()
  const { points, fit, limit, crossing } = trend
  chart.setOption(
    {
      animation: false,
      textStyle: text,
      grid: { left: 60, right: 24, top: 30, bottom: 52 },
      xAxis: { type: 'value', name: 'rolls a litre', nameLocation: 'middle', nameGap: 30, min: 0, ...axis },
      yAxis: { type: 'value', name: trend.unit, scale: true, ...axis },
      series: [
        {
          type: 'line' as const,
          silent: true,
          symbol: 'none',
          data: fit,
          lineStyle: { width: 3, type: 'dashed' as const, color: colour('ink') },
          ...(limit === null
            ? {}
            : {
                markLine: {
                  silent: true,
                  symbol: 'none',
                  data: [{ yAxis: limit.at }],
                  label: { formatter: limit.name, position: 'insideStartTop' as const, ...text },
                  lineStyle: { color: colour('alarm'), type: 'solid' as const, width: 3 },
                },
              }),
          ...(crossing && crossing.low !== null
            ? {
                markArea: {
                  silent: true,
                  itemStyle: { color: 'transparent', borderColor: colour('ink'), borderWidth: 2, borderType: 'dotted' as const },
                  data: [[{ xAxis: crossing.low }, { xAxis: crossing.high ?? crossing.at * 2 }]],
                },
              }
            : {}),
        },
        {
          type: 'scatter' as const,
          silent: true,
          symbol: 'circle',
          symbolSize: 15,
          itemStyle: { color: colour('panel'), borderColor: colour('ink'), borderWidth: 3 },
          data: points,
        },
      ],
    },
    true,
  )
}
onMounted(() => {
  if (!box.value) return
  chart = init(box.value, undefined, { renderer: 'svg' })
  watcher = new ResizeObserver(() => chart?.resize())
  watcher.observe(box.value)
  draw()
})
onBeforeUnmount(() => {
  watcher?.disconnect()
  chart?.dispose()
})
watch([() => trend, light], draw, { flush: 'post', deep: true })
</script>

<template>
  <figure>
    <div ref="box" class="h-72 w-full" role="img" :aria-label="trend.says" />
    <figcaption class="text-lg">{{ trend.says }}</figcaption>
  </figure>
</template>
