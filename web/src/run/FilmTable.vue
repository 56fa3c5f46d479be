<script setup lang="ts">
import { showTime } from '@selvrin/core'
import type { Roll } from '@selvrin/core/contract'
import { computed, ref } from 'vue'
import LongTable, { type LongColumn } from '../fields/LongTable.vue'
import ModalPanel from '../fields/ModalPanel.vue'
import { showDate } from '../marks/words'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import FilmJudgement from './FilmJudgement.vue'

/** Films as a list, each opened for its record. */
const { rolls } = defineProps<{ rolls: Roll[] }>()
defineEmits<{ judged: [roll: Roll] }>()
const session = useSession()
const show = useShow()
const zone = () => session.darkroom?.zone ?? 'UTC'
const doubtful = (roll: Roll) => roll.marks.some((mark) => mark.clearedAt === null)
const came = (roll: Roll) => [roll.result, roll.contrast].filter(Boolean).join(', ')
const columns: LongColumn<Roll>[] = [
  { id: 'film', name: 'Film', by: (roll) => `${roll.film} ${String(roll.ei).padStart(6, '0')}`, stays: true, class: 'min-w-32' },
  { id: 'exposed', name: 'Exposed', by: (roll) => roll.ei, class: 'min-w-24' },
  ...(session.isTechnician ? [{ id: 'member', name: 'Whose', by: (roll: Roll) => roll.member, class: 'min-w-28' }] : []),
  { id: 'at', name: 'Developed', by: (roll) => roll.at, class: 'min-w-28' },
  { id: 'developer', name: 'In', by: (roll) => roll.developer, class: 'min-w-40' },
  { id: 'time', name: 'Time', by: (roll) => roll.developedS, class: 'text-right' },
  { id: 'came', name: 'Came out', by: (roll) => came(roll) || null, class: 'min-w-28' },
]
const openId = ref<string | null>(null)
const open = computed(() => rolls.find((roll) => roll.id === openId.value) ?? null)
</script>

<template>
  <LongTable label="Films" :rows="rolls" :columns="columns" :row-key="(roll) => roll.id" :row-height="60">
    <template #cell="{ row: roll, column }">
      <button v-if="column.stays" type="button" class="link min-h-11 text-left" @click="openId = roll.id">
        {{ roll.film }}
      </button>
      <template v-else-if="column.id === 'exposed'"
        >EI {{ roll.ei }}<span class="block text-quiet">{{ roll.format }}</span></template
      >
      <template v-else-if="column.id === 'member'">{{ roll.member }}</template>
      <template v-else-if="column.id === 'at'"
        >{{ showDate(roll.at, zone())
        }}<span v-if="roll.runNumber !== null" class="block text-quiet">run {{ roll.runNumber }}</span></template
      >
      <template v-else-if="column.id === 'developer'">{{ roll.developer }}</template>
      <span v-else-if="column.id === 'time'" class="whitespace-nowrap"
        ><b class="font-mono">{{ roll.developedS === null ? '' : showTime(roll.developedS) }}</b
        ><span v-if="roll.temperatureC !== null" class="block text-quiet">{{
          show.temperature(Math.round(roll.temperatureC * 10) / 10)
        }}</span></span
      >
      <template v-else><b v-if="doubtful(roll)" class="block text-alarm">▲ to look at</b>{{ came(roll) || 'not said yet' }}</template>
    </template>
  </LongTable>
  <ModalPanel :open="open !== null" :title="open ? `${open.film}, ${open.member}` : ''" wide @close="openId = null">
    <ul v-if="open">
      <FilmJudgement :roll="open" @judged="$emit('judged', $event)" />
    </ul>
  </ModalPanel>
</template>
