<script setup lang="ts">
import type { ProcessBody, Draft } from '@selvrin/core'
import type Sortable from 'sortablejs'
import { computed, nextTick, onBeforeUnmount, onMounted, useTemplateRef, watch } from 'vue'
import BathMark from '../marks/BathMark.vue'
import { useShow } from '../session/useShow'
import { ribbonSteps } from './ribbon'

/** The steps in order, with the light above and the temperature below: chosen by a tap, moved by dragging, or with Alt and an arrow key. */
const { process, draft, selected } = defineProps<{
  process: ProcessBody
  draft: Draft | null
  selected: string | null
}>()
const emit = defineEmits<{ select: [key: string]; move: [key: string, to: number] }>()
const show = useShow()
const steps = computed(() => ribbonSteps(process, draft))
/** What may be seen, over as many steps as it holds. */
const band = computed(() =>
  steps.value.reduce<{ light: string; steps: number }[]>((bands, { light }) => {
    const last = bands.at(-1)
    return last?.light === light ? [...bands.slice(0, -1), { light, steps: last.steps + 1 }] : [...bands, { light, steps: 1 }]
  }, []),
)
const columns = computed(() => `repeat(${steps.value.length}, 8.5rem)`)
const list = useTemplateRef<HTMLOListElement>('list')
const buttonOf = (key: string) => list.value?.querySelector<HTMLButtonElement>(`[data-step="${key}"] button`)

async function moveBy(key: string, by: number): Promise<void> {
  const i = steps.value.findIndex((one) => one.key === key)
  if (i + by < 0 || i + by >= steps.value.length) return
  emit('move', key, i + by)
  await nextTick()
  buttonOf(key)?.focus()
}
function next(key: string, by: number): void {
  const to = steps.value[steps.value.findIndex((one) => one.key === key) + by]
  if (!to) return
  emit('select', to.key)
  void nextTick(() => buttonOf(to.key)?.focus())
}
function pressed(event: KeyboardEvent, key: string): void {
  const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key]
  if (by === undefined || event.ctrlKey || event.metaKey) return
  event.preventDefault()
  if (event.altKey) void moveBy(key, by)
  else next(key, by)
}

let sorting: Sortable | null = null
onMounted(async () => {
  const { default: Sorted } = await import('sortablejs')
  if (!list.value) return
  sorting = new Sorted(list.value, {
    draggable: '[data-step]',
    direction: 'horizontal',
    animation: 120,
    forceFallback: true,
    fallbackTolerance: 6,
    // a tap stays a tap on a tablet: only a held finger drags
    delay: 250,
    delayOnTouchOnly: true,
    onEnd: ({ item, oldIndex, newIndex, from }) => {
      const key = item.dataset.step
      if (key === undefined || oldIndex === undefined || newIndex === undefined || oldIndex === newIndex) return
      // the page draws the order from the process: what was dropped goes back until it says otherwise
      from.insertBefore(item, from.children[oldIndex < newIndex ? oldIndex : oldIndex + 1] ?? null)
      emit('move', key, newIndex)
    },
  })
})
onBeforeUnmount(() => sorting?.destroy())
watch(
  () => selected,
  async (key) => {
    await nextTick()
    if (key) buttonOf(key)?.scrollIntoView({ block: 'nearest', inline: 'nearest' })
  },
)
</script>

<template>
  <div class="overflow-x-auto pb-2" role="group" aria-label="The steps, with their light and temperature" tabindex="-1">
    <div class="grid min-w-fit text-sm" :style="{ gridTemplateColumns: columns }" aria-hidden="true">
      <p v-for="(one, i) in band" :key="i" class="border-l-2 border-ink px-2" :style="{ gridColumn: `span ${one.steps}` }">
        {{ one.light }}
      </p>
    </div>
    <ol ref="list" class="grid min-w-fit" :style="{ gridTemplateColumns: columns }" aria-label="Steps">
      <li
        v-for="one in steps"
        :key="one.key"
        :data-step="one.key"
        class="border-2"
        :class="[
          one.key === selected ? 'border-primary bg-panel shadow-[inset_0_-8px_0_var(--primary)]' : 'border-ink',
          one.offFor ? 'border-dashed' : 'bg-panel',
        ]"
      >
        <button
          type="button"
          class="flex h-full min-h-28 w-full cursor-grab flex-col items-start gap-1 px-2 py-2 text-left"
          :aria-current="one.key === selected ? 'step' : undefined"
          :aria-keyshortcuts="'Alt+ArrowLeft Alt+ArrowRight'"
          @click="emit('select', one.key)"
          @keydown="pressed($event, one.key)"
        >
          <span class="flex items-center gap-1.5"
            ><BathMark :family="one.family" :size="20" /><b v-if="one.findings > 0" class="text-alarm">!</b></span
          >
          <b class="leading-tight break-words hyphens-auto">{{ one.name }}</b>
          <span class="font-mono text-sm leading-tight">{{ one.time }}</span>
          <span v-if="one.offFor" class="text-sm leading-tight italic">only with: {{ one.offFor }}</span>
        </button>
      </li>
    </ol>
    <div class="grid min-w-fit font-mono text-sm" :style="{ gridTemplateColumns: columns }" aria-hidden="true">
      <p v-for="one in steps" :key="one.key" class="px-2">{{ one.celsius === null ? '' : show.temperature(one.celsius) }}</p>
    </div>
  </div>
</template>
