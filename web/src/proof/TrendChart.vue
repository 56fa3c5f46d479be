<script setup lang="ts">
import { LineChart, ScatterChart } from 'echarts/charts'
import { GridComponent, MarkAreaComponent, MarkLineComponent } from 'echarts/components'
import { use } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import { useTemplateRef } from 'vue'
import { chartStyle } from '../chart/style'
import { useChart } from '../chart/useChart'
import type { Trend } from './trend'
import { useShow } from '../session/useShow'

const show = useShow()
use([LineChart, ScatterChart, GridComponent, MarkAreaComponent, MarkLineComponent, SVGRenderer])

/** Readings against use, the fit through them, the limit it runs towards, and where between it may cross. */
const { trend } = defineProps<{ trend: Trend }>()
const box = useTemplateRef<HTMLDivElement>('box')

function option(): Record<string, unknown> {
  const { colour, text, axis } = chartStyle()
  const along = (points: [number, number][]) => points.map(([x, y]) => [show.each(x), y])
  const points = along(trend.points)
  const fit = along(trend.fit)
  const { limit, crossing } = trend
  return {
    animation: false,
    textStyle: text,
    grid: { left: 60, right: 24, top: 30, bottom: 52 },
    xAxis: { type: 'value', name: `rolls a ${show.big()}`, nameLocation: 'middle', nameGap: 30, min: 0, ...axis },
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
                data: [[{ xAxis: show.each(crossing.low) }, { xAxis: show.each(crossing.high ?? crossing.at * 2) }]],
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
  }
}
useChart(box, option, () => trend)
</script>

<template>
  <figure>
    <div ref="box" class="h-72 w-full" role="img" :aria-label="show.said(trend.says)" />
    <figcaption class="text-lg">{{ show.said(trend.says) }}</figcaption>
  </figure>
</template>
