import { init, type EChartsType } from 'echarts/core'
import { useResizeObserver } from '@vueuse/core'
import { onBeforeUnmount, onMounted, ref, watch, type Ref } from 'vue'
import { light } from '../light/light'

/** Keeps a chart in a box: drawn anew when what it follows or the light changes, resized with its box. Answers whether it has been drawn. */
export function useChart(
  box: Readonly<Ref<HTMLDivElement | null>>,
  option: () => Record<string, unknown>,
  follow: () => unknown,
): Ref<boolean> {
  const ready = ref(false)
  let chart: EChartsType | undefined
  function draw(): void {
    if (!chart) return
    chart.setOption(option(), true)
    ready.value = true
  }
  onMounted(() => {
    if (!box.value) return
    chart = init(box.value, undefined, { renderer: 'svg' })
    draw()
  })
  useResizeObserver(box, () => chart?.resize())
  onBeforeUnmount(() => chart?.dispose())
  watch([follow, light], draw, { flush: 'post', deep: true })
  return ready
}
