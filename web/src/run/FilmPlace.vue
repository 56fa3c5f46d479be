<script setup lang="ts">
import { api, type Roll } from '@selvrin/core/contract'
import { computed, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ProblemLine from '../fields/ProblemLine.vue'
import { useTime } from '../hand/useTime'
import { useSession } from '../session/store'
import { placeWords, stageOf } from './filmPlace'
import SleevePanel from './SleevePanel.vue'

/** Where a film is after its run, and the next thing to do with it. */
const { roll } = defineProps<{ roll: Roll }>()
const emit = defineEmits<{ put: [roll: Roll] }>()
const session = useSession()
const { busy, problem, act } = useAction()
const zone = computed(() => session.darkroom?.zone ?? 'UTC')
const time = useTime()
const says = computed(() => placeWords(roll, time.value, zone.value))
const stage = computed(() => stageOf(roll, time.value))
const sleeving = ref(false)
const handBack = () =>
  act(async () => emit('put', await call(api.film.handBack, { params: { id: roll.id }, body: { version: roll.version } })))
</script>

<template>
  <div v-if="says" class="mt-1 flex flex-wrap items-center gap-x-4 gap-y-1">
    <p class="font-semibold">{{ says }}</p>
    <template v-if="session.isTechnician">
      <button
        v-if="stage === 'wet' || stage === 'dry'"
        class="button button-small"
        :aria-label="`Cut and sleeve ${roll.film}, ${roll.member}`"
        @click="sleeving = true"
      >
        Cut and sleeve
      </button>
      <button
        v-if="stage === 'sleeved'"
        class="button button-small"
        :disabled="busy"
        :aria-label="`${roll.film}, ${roll.member}: handed back`"
        @click="handBack"
      >
        Handed back
      </button>
    </template>
    <ProblemLine :problem="problem" />
    <SleevePanel v-if="sleeving" :roll="roll" @close="sleeving = false" @put="$emit('put', $event)" />
  </div>
</template>
