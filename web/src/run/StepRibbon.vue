<script setup lang="ts">
import { showTime, type Light, type PlanStep } from '@selvrin/core'
import { computed, nextTick, useTemplateRef, watch } from 'vue'
import { useShow } from '../session/useShow'

/** The steps along the time, the running one marked and in sight; the light band above says what the material may see. */
const { plan, step = -1, elapsedS = 0 } = defineProps<{ plan: { steps: PlanStep[] }; step?: number; elapsedS?: number }>()
const show = useShow()
const total = computed(() => plan.steps.reduce((sum, one) => sum + one.seconds, 0))
// the square root gives short steps room; none is narrower than its name, and what has no room is scrolled to
const columns = computed(() => plan.steps.map((one) => `minmax(6rem, ${Math.sqrt(Math.max(one.seconds, 20)).toFixed(2)}fr)`).join(' '))
const done = (i: number) => (i < step ? 100 : i > step ? 0 : Math.min(100, (elapsedS / (plan.steps[i]?.seconds || 1)) * 100))
const lights = { dark: 'dark', tank: 'tank closed', white: 'white light' }
const lit = (light: Light): string => (typeof light === 'object' ? `${light.safelight} safelight` : lights[light])
/** What may be seen, over as many steps as it holds. */
const band = computed(() =>
  plan.steps.reduce<{ light: string; steps: number }[]>((bands, one) => {
    const [light, last] = [lit(one.light), bands.at(-1)]
    return last?.light === light ? [...bands.slice(0, -1), { light, steps: last.steps + 1 }] : [...bands, { light, steps: 1 }]
  }, []),
)
const list = useTemplateRef<HTMLOListElement>('list')
watch(
  () => step,
  async (now) => {
    await nextTick()
    const item = list.value?.children[now]
    const box = list.value?.parentElement
    if (item instanceof HTMLElement && box) box.scrollLeft = item.offsetLeft - (box.clientWidth - item.offsetWidth) / 2
  },
  { immediate: true },
)
</script>

<template>
  <div class="relative overflow-x-auto" role="group" aria-label="The steps and their light" tabindex="0">
    <div class="grid min-w-fit text-sm" :style="{ gridTemplateColumns: columns }" aria-hidden="true">
      <p v-for="(one, i) in band" :key="i" class="px-1" :style="{ gridColumn: `span ${one.steps}` }">{{ one.light }}</p>
    </div>
    <ol ref="list" class="grid min-w-fit" :style="{ gridTemplateColumns: columns }" :aria-label="`Steps, ${showTime(total)} in all`">
      <li v-for="(one, i) in plan.steps" :key="i" :aria-current="i === step ? 'step' : undefined">
        <div class="relative h-10 border-y-2 border-r-2 border-ink" :class="i === 0 ? 'border-l-2' : ''" aria-hidden="true">
          <div class="absolute inset-y-[3px] left-[3px] bg-ink" :style="{ width: `calc(${done(i)}% - ${done(i) * 0.06}px)` }" />
        </div>
        <p class="px-1 leading-tight" :class="i === step ? 'font-bold' : ''">
          {{ one.name }}<br /><span class="font-mono">{{ showTime(one.seconds) }}</span
          ><span class="block whitespace-nowrap text-quiet max-sm:hidden">{{ show.temperature(one.temperatureC) }}</span>
        </p>
      </li>
    </ol>
  </div>
</template>
