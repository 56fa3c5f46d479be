<script setup lang="ts">
import type { MixEvent, MixState } from '@selvrin/core'
import { v7 as uuid } from 'uuid'
import ProblemLine from '../fields/ProblemLine.vue'
import { isDoneKey, useKeys } from '../hand/keys'
import { useShow } from '../session/useShow'

/** The batch was made larger: the water that lacks beside what is in the jug. */
const { state, busy, problem, record } = defineProps<{
  state: MixState
  busy: boolean
  problem: string
  record: (...events: MixEvent[]) => Promise<boolean>
}>()
const show = useShow()
const added = () => record({ id: uuid(), kind: 'water-added', ml: state.moreWaterMl })
useKeys((event) => {
  if (!isDoneKey(event) || busy || event.repeat) return false
  void added()
  return true
})
</script>

<template>
  <div>
    <p class="text-xl text-quiet">It becomes {{ show.volume(state.formula.finalMl) }}</p>
    <h1 class="text-4xl font-bold">Add water to what is in the jug</h1>
    <p class="my-4 font-mono text-7xl font-bold max-sm:text-5xl" data-more-water>{{ show.volume(state.moreWaterMl) }}</p>
    <p class="mb-5 text-2xl">
      at <b class="font-mono">{{ show.temperature(state.formula.mixC) }}</b>. Then what is in already gets its share, in order.
    </p>
    <ProblemLine :problem="problem" />
    <button class="button button-main mt-3 min-h-16 px-8" :disabled="busy" data-next @click="added">The water is in</button>
  </div>
</template>
