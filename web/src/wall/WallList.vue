<script setup lang="ts">
import { useMutationObserver, useResizeObserver } from '@vueuse/core'
import { ref, useTemplateRef } from 'vue'

/** A list on the wall: it shows as many of its lines as there is room for, whole ones, and says how many it does not show. */
defineProps<{ id: string; title: string; /** beside the title, smaller */ said?: string }>()
const list = useTemplateRef<HTMLUListElement>('list')
const hidden = ref(0)
// what has no room is in a column of its own, beside what is in sight; a line that is higher than all the room there is has none either
function look(): void {
  const { right = 0, bottom = 0 } = list.value?.getBoundingClientRect() ?? {}
  const lines = [...(list.value?.children ?? [])] as HTMLElement[]
  const cut = lines.map((line) => line.getBoundingClientRect()).map((box) => box.left >= right - 1 || box.bottom > bottom + 1)
  lines.forEach((line, i) => (line.style.visibility = cut[i] ? 'hidden' : ''))
  hidden.value = cut.filter(Boolean).length
}
useResizeObserver(list, look)
useMutationObserver(list, look, { childList: true, characterData: true, subtree: true })
</script>

<template>
  <h2 :id="id">
    {{ title }}
    <span v-if="said" class="ml-[1vw] text-[1.3vw] font-normal text-quiet">{{ said }}</span>
    <span v-if="hidden > 0" class="ml-[1vw] text-[1.3vw] font-normal">and {{ hidden }} more</span>
  </h2>
  <ul ref="list" :aria-labelledby="id" class="flex min-h-0 flex-col flex-wrap content-start overflow-hidden [&>li]:w-full [&>li]:flex-none">
    <slot />
  </ul>
</template>

<style scoped>
@media (max-width: 700px) {
  ul {
    flex-wrap: nowrap;
  }
}
</style>
