<script setup lang="ts">
import { drumNames } from '@selvrin/core'
import { sinkApi, type DrainLine } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { usePage } from '../api/usePage'
import ProblemLine from '../fields/ProblemLine.vue'
import TakeBackPanel from '../fields/TakeBackPanel.vue'
import { showMoment } from '../marks/words'
import { useShow } from '../session/useShow'

/** What went down the drain, by which paper, the newest first. */
defineProps<{ zone: string }>()
const emit = defineEmits<{ changed: [] }>()
const show = useShow()
const limit = ref(30)
const page = usePage(
  (signal) => call(sinkApi.drained, { query: { limit: limit.value }, signal }),
  (event) => event.subject === 'sink',
)
void page.load()
const lines = computed(() => page.value.value?.lines ?? [])
const more = (): void => {
  limit.value += 30
  void page.load()
}
const taking = ref<DrainLine | null>(null)
const { busy, problem, act } = useAction()
const words = (line: DrainLine): string => `${show.volume(line.ml)}, ${drumNames[line.family]}`
const takeBack = async (why: string): Promise<void> => {
  const id = taking.value?.id
  if (id === undefined || !(await act(() => call(sinkApi.drainBack, { params: { id }, body: { entryId: uuid(), why } })))) return
  taking.value = null
  await page.load()
  emit('changed')
}
</script>

<template>
  <section class="mt-6" aria-labelledby="drained">
    <h2 id="drained" class="mb-1 text-2xl font-bold">What went down</h2>
    <ProblemLine :problem="page.problem.value" />
    <p v-if="page.value.value && lines.length === 0" class="text-lg">Nothing yet.</p>
    <ul>
      <li v-for="line in lines" :key="line.id" class="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-line py-2">
        <span class="min-w-56 flex-1" :class="line.over ? 'line-through' : ''"
          ><b>{{ words(line) }}</b> <span class="text-quiet">{{ line.paper }}</span></span
        >
        <span class="text-quiet">{{ showMoment(line.at, zone) }}, {{ line.by }}</span>
        <button v-if="!line.over" type="button" class="button button-small" @click="taking = line">
          Take back<span class="sr-only">: {{ words(line) }}</span>
        </button>
      </li>
    </ul>
    <button v-if="page.value.value?.more" type="button" class="button mt-3" @click="more">Older lines</button>
    <TakeBackPanel
      v-if="taking"
      :what="words(taking)"
      says="A second line takes it back: it waits to be poured again, and does not count for its day."
      :busy="busy"
      :problem="problem"
      @close="taking = null"
      @take="takeBack"
    />
  </section>
</template>
