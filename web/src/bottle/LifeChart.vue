<script setup lang="ts">
import type { LifeCurve } from '@selvrin/core'
import { LineChart } from 'echarts/charts'
import { GridComponent, MarkLineComponent } from 'echarts/components'
import { use } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import { computed, useTemplateRef } from 'vue'
import { dayMs, guideOf } from '@selvrin/core'
import { chartStyle } from '../chart/style'
import { useChart } from '../chart/useChart'
import { lifeShares } from './lifeWords'
import { showDate, showDay, inSentence } from '../marks/words'

use([LineChart, GridComponent, MarkLineComponent, SVGRenderer])

/** A bottle's life: what use and age have taken, one on the other, and straight on to its end. Tests stand on it as marks. */
const { curve, zone, now } = defineProps<{ curve: LifeCurve; zone: string; now: number }>()
const box = useTemplateRef<HTMLDivElement>('box')

const last = computed(() => curve.past.at(-1))
const says = computed(() => {
  const point = last.value
  if (!point) return 'Nothing has happened to it yet.'
  const end = curve.endsAt === null ? 'Neither use nor age will end it.' : `At this rate it ends on ${showDate(curve.endsAt, zone)}.`
  const shares = lifeShares(point.used, point.aged)
  return `${shares.used} % used, ${shares.aged} % aged. ${end}`
})
const signs = { keep: 'circle', marginal: 'triangle', failed: 'rect' } as const

function option(): Record<string, unknown> {
  const { colour, text, axis } = chartStyle()
  const share = (value: number) => Math.round(value * 1000) / 10
  const line = (name: string, data: [number, number][], dashed: boolean, fill: string | null) => ({
    type: 'line' as const,
    name,
    data,
    symbol: 'none',
    silent: true,
    lineStyle: { width: 3, type: dashed ? ('dashed' as const) : ('solid' as const), color: colour('ink') },
    ...(fill ? { areaStyle: { color: colour(fill), opacity: 1 } } : {}),
  })
  const at = (when: number) => [...curve.past].reverse().find((point) => point.at <= when) ?? curve.past[0]
  return {
    animation: false,
    textStyle: text,
    grid: { left: 52, right: 20, top: 20, bottom: 34 },
    xAxis: {
      type: 'time',
      minInterval: dayMs,
      ...axis,
      splitLine: { show: false },
      axisLabel: { ...text, hideOverlap: true, formatter: (value: number) => showDay(value, zone) },
    },
    yAxis: { type: 'value', min: 0, max: 100, interval: 25, ...axis, axisLabel: { ...text, formatter: '{value} %' } },
    series: [
      line(
        'used and aged',
        curve.past.map((point) => [point.at, share(Math.min(1, point.used + point.aged))]),
        false,
        'tape',
      ),
      line(
        'used',
        curve.past.map((point) => [point.at, share(point.used)]),
        false,
        'tape-used',
      ),
      line(
        'ahead',
        curve.ahead.map((point) => [point.at, share(Math.min(1, point.used + point.aged))]),
        true,
        null,
      ),
      {
        type: 'line' as const,
        name: 'tests',
        silent: true,
        lineStyle: { width: 0 },
        symbolSize: 15,
        itemStyle: { color: colour('panel'), borderColor: colour('ink'), borderWidth: 3 },
        data: curve.tests.map((test) => {
          const point = at(test.at)
          return {
            value: [test.at, share(Math.min(1, (point?.used ?? 0) + (point?.aged ?? 0)))],
            symbol: signs[test.verdict as keyof typeof signs] ?? 'circle',
          }
        }),
        markLine: {
          silent: true,
          symbol: 'none',
          data: [{ xAxis: now }],
          label: { formatter: 'now', ...text },
          lineStyle: { color: colour('ink'), type: 'dotted', width: 2 },
        },
      },
    ],
  }
}
useChart(box, option, () => curve)
</script>

<template>
  <figure>
    <div ref="box" class="h-56 w-full" role="img" :aria-label="says" />
    <figcaption>
      {{ says }}
      <span v-if="curve.tests.length > 0" class="text-quiet">
        Marks are tests: ring passed, triangle marginal, square failed ({{
          [...new Set(curve.tests.map((test) => inSentence(guideOf(test.kind as 'fixer-ph').name)))].join(', ')
        }}).
      </span>
      <span class="text-quiet"> The darker part is use, the lighter age.</span>
    </figcaption>
  </figure>
</template>
