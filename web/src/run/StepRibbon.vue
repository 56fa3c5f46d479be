<script setup lang="ts">
import { showTime, type Plan } from '@selvrin/core'
import { computed } from 'vue'
import { useShow } from '../session/useShow'

/** The steps along the time, the running one marked; the light band above says what the material may see. */
const { plan, step = -1, elapsedS = 0 } = defineProps<{ plan: Plan; step?: number; elapsedS?: number }>()
const show = useShow()
const total = computed(() => plan.steps.reduce((sum, one) => sum + one.seconds, 0))
// the square root gives short steps room for their names
const weight = (seconds: number) => Math.sqrt(Math.max(seconds, 20))
const whole = computed(() => plan.steps.reduce((sum, one) => sum + weight(one.seconds), 0))
const share = (seconds: number) => `${(weight(seconds) / whole.value) * 100}%`
const done = (i: number) => (i < step ? 100 : i > step ? 0 : Math.min(100, (elapsedS / (plan.steps[i]?.seconds || 1)) * 100))
const lights = { dark: 'dark', tank: 'tank closed', safelight: 'safelight', white: 'white light' }
</script>

<template>
  <div>
    <div class="flex text-sm" aria-hidden="true">
      <p v-for="(one, i) in plan.steps" :key="i" class="truncate border-l-2 border-transparent px-1" :style="{ width: share(one.seconds) }">
        {{ i === 0 || plan.steps[i - 1]?.light !== one.light ? lights[one.light] : '' }}
      </p>
    </div>
    <ol class="flex border-2 border-ink" :aria-label="`Steps, ${showTime(total)} in all`">
      <li
        v-for="(one, i) in plan.steps"
        :key="i"
        class="relative h-10 border-l-2 border-ink first:border-l-0"
        :style="{ width: share(one.seconds) }"
        :aria-current="i === step ? 'step' : undefined"
      >
        <div class="absolute inset-y-[3px] left-[3px] bg-ink" :style="{ width: `calc(${done(i)}% - ${done(i) * 0.06}px)` }" />
        <span class="sr-only">{{ one.name }} {{ showTime(one.seconds) }}</span>
      </li>
    </ol>
    <div class="flex" aria-hidden="true">
      <p
        v-for="(one, i) in plan.steps"
        :key="i"
        class="overflow-hidden px-1 leading-tight"
        :class="i === step ? 'font-bold' : ''"
        :style="{ width: share(one.seconds) }"
      >
        {{ one.name }}<br /><span class="font-mono">{{ showTime(one.seconds) }}</span
        ><span class="block whitespace-nowrap text-quiet max-sm:hidden">{{ show.temperature(one.temperatureC) }}</span>
      </p>
    </div>
  </div>
</template>
