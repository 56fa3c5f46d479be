<script setup lang="ts">
import type { Understood } from '@selvrin/core'
import { computed, ref, watch } from 'vue'
import PressOne from '../fields/PressOne.vue'
import { useShow } from '../session/useShow'

const show = useShow()
/** What was understood of a file, line by line. */
const { lines } = defineProps<{ lines: Understood[] }>()
const words = { new: 'New', changed: 'Changes', same: 'The same', wrong: 'Wrong' }
type State = keyof typeof words
const states: State[] = ['wrong', 'changed', 'new', 'same']
const count = (state: State) => lines.filter((line) => line.state === state).length
const only = ref<State | 'all' | null>('all')
const choices = computed(() => [
  { value: 'all' as const, name: `All ${lines.length}` },
  ...states.filter((state) => count(state) > 0).map((value) => ({ value, name: `${words[value]} ${count(value)}` })),
])
watch(only, () => (more.value = 1))
const many = 200
const more = ref(1)
const matching = computed(() => lines.filter((line) => only.value === 'all' || line.state === only.value))
const shown = computed(() => matching.value.slice(0, many * more.value))
</script>

<template>
  <div>
    <PressOne v-model="only" class="mb-3" label="Lines to see" :choices="choices" />
    <ol>
      <li v-for="line in shown" :key="line.line" class="grid grid-cols-[4.5rem_6rem_minmax(0,1fr)] gap-3 border-b border-line py-2">
        <span class="text-quiet">line {{ line.line }}</span>
        <b :class="line.state === 'wrong' ? 'text-alarm' : ''"
          >{{ line.state === 'wrong' ? '▲ ' : line.state === 'new' ? '+ ' : line.state === 'changed' ? '≠ ' : '= '
          }}{{ words[line.state] }}</b
        >
        <div>
          <p>{{ show.said(line.says) }}</p>
          <p v-for="change in line.changes" :key="change.what">
            <span class="text-quiet">{{ change.what.replaceAll('_', ' ') }}:</span> <s>{{ change.from }}</s> → <b>{{ change.to }}</b>
          </p>
          <p v-for="one in line.problems" :key="one" class="font-semibold text-alarm">{{ one }}</p>
          <p v-for="one in line.grave ?? []" :key="one" class="font-semibold text-alarm">▲ {{ show.said(one) }}</p>
          <p v-for="one in line.notes" :key="one">{{ show.said(one) }}</p>
        </div>
      </li>
    </ol>
    <button v-if="matching.length > shown.length" class="button mt-4" @click="more += 1">{{ matching.length - shown.length }} more</button>
  </div>
</template>
