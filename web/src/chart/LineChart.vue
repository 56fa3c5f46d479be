<script setup lang="ts">
import { LineChart } from 'echarts/charts'
import { GridComponent, LegendComponent, MarkLineComponent } from 'echarts/components'
import { use } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import { useTemplateRef } from 'vue'
import { chartStyle } from './style'
import { useChart } from './useChart'

use([LineChart, GridComponent, LegendComponent, MarkLineComponent, SVGRenderer])

export interface Line {
  name: string
  points: [x: number, y: number][]
}
/** Curves over one axis. Lines differ by dash as well as by weight, so that they are told apart in red light; a mark is a point of interest on the first. */
const { lines, xName, yName, says, mark } = defineProps<{
  lines: Line[]
  xName: string
  yName: string
  /** the chart in a sentence, for those who do not see it */
  says: string
  mark?: { x: number; name: string }
}>()
const box = useTemplateRef<HTMLDivElement>('box')

function option(): Record<string, unknown> {
  const { colour, text, axis } = chartStyle()
  const dashes = ['solid', 'dashed', 'dotted'] as const
  const inks = ['primary', 'bleach', 'developer']
  return {
    animation: false,
    textStyle: text,
    grid: { left: 56, right: 24, top: lines.length > 1 ? 40 : 24, bottom: 52 },
    legend: { show: lines.length > 1, top: 0, textStyle: text, itemWidth: 40, itemGap: 24, inactiveColor: colour('quiet') },
    xAxis: { type: 'value', name: xName, nameLocation: 'middle', nameGap: 30, min: 'dataMin', max: 'dataMax', ...axis },
    yAxis: { type: 'value', name: yName, scale: true, minInterval: 0.1, ...axis },
    series: lines.map((line, i) => ({
      type: 'line',
      name: line.name,
      data: line.points,
      symbol: 'none',
      silent: true,
      lineStyle: { width: i === 0 ? 4 : 3, type: dashes[i] ?? 'dotted', color: colour(inks[i] ?? 'ink') },
      itemStyle: { color: colour(inks[i] ?? 'ink') },
      ...(i === 0 && mark
        ? {
            markLine: {
              silent: true,
              symbol: 'none',
              data: [{ xAxis: mark.x, name: mark.name }],
              label: { formatter: mark.name, ...text },
              lineStyle: { color: colour('ink'), type: 'solid', width: 2 },
            },
          }
        : {}),
    })),
  }
}
const ready = useChart(box, option, () => [lines, mark])
</script>

<template>
  <div ref="box" class="h-72 w-full" role="img" :aria-label="says" :data-ready="ready ? '' : undefined" />
</template>
