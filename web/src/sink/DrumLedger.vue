<script setup lang="ts">
import { sinkApi, type DrumPageLine } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { kilosIn } from './drumWords'
import TakeBackPanel from '../fields/TakeBackPanel.vue'
import { showMoment } from '../marks/words'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'

/** Every line of a drum, the newest first; what was wrong is taken back by a second line. */
const { drumId } = defineProps<{ lines: DrumPageLine[]; drumId: string; zone: string; fixed: boolean }>()
const emit = defineEmits<{ changed: [] }>()
const session = useSession()
const show = useShow()
const taking = ref<DrumPageLine | null>(null)
const { busy, problem, act } = useAction()
const words = (line: DrumPageLine): string => {
  if (line.kind === 'weigh') return `weighed ${kilosIn(line.readingKg ?? 0, session.manner)}`
  return line.kind === 'reverse' ? `${show.volume(-line.ml)} taken back` : `${show.volume(line.ml)} poured in`
}
const takeBack = async (why: string): Promise<void> => {
  const { value: line } = taking
  if (!line) return
  const good = await act(() => call(sinkApi.takeBack, { params: { id: drumId, entryId: line.id }, body: { entryId: uuid(), why } }))
  if (!good) return
  taking.value = null
  emit('changed')
}
</script>

<template>
  <section aria-labelledby="drum-lines">
    <h2 id="drum-lines" class="mb-1 text-2xl font-bold">What went in</h2>
    <p v-if="lines.length === 0" class="text-lg">Nothing yet.</p>
    <ul>
      <li v-for="line in lines" :key="line.id" class="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-line py-2">
        <span class="min-w-56 flex-1" :class="line.over ? 'line-through' : ''"
          ><b>{{ words(line) }}</b
          >{{ line.silverG > 0.05 ? `, silver ${show.mass(line.silverG)}` : '' }}{{ line.ph === null ? '' : `, pH ${line.ph}` }}
          <span class="text-quiet">{{ line.note }}</span></span
        >
        <RouterLink v-if="line.bottleId" :to="`/shelf/${line.bottleId}`" class="link inline-flex min-h-11 items-center"
          >its bottle</RouterLink
        >
        <span class="text-quiet">{{ showMoment(line.at, zone) }}, {{ line.by }}</span>
        <button v-if="!fixed && !line.over && line.kind !== 'reverse'" type="button" class="button button-small" @click="taking = line">
          Take back<span class="sr-only">: {{ words(line) }}</span>
        </button>
      </li>
    </ul>
    <TakeBackPanel
      v-if="taking"
      :what="words(taking)"
      says="A second line takes it out of the drum; what came from a bottle waits to be poured again."
      :busy="busy"
      :problem="problem"
      @close="taking = null"
      @take="takeBack"
    />
  </section>
</template>
