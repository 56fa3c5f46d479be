<script setup lang="ts">
import { api, type FormulaRow, type FormulaVersion } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ProblemLine from '../fields/ProblemLine.vue'
import TextField from '../fields/TextField.vue'
import { showDate } from '../marks/words'
import { useSession } from '../session/store'

/** Versions of a formula: each can be seen, laid beside the newest, and brought back as the next one. */
const { row, versions, seen } = defineProps<{
  row: FormulaRow
  versions: FormulaVersion[]
  /** the earlier version that is shown now */
  seen: FormulaVersion | null
}>()
const emit = defineEmits<{ back: [] }>()
const session = useSession()
const zone = session.session?.darkroom.zone ?? 'UTC'
const { busy, problem, field, act } = useAction()
/** asked for where the version has a grave finding that nobody has overruled */
const reason = ref('')
let versionId = uuid()

async function bringBack(one: FormulaVersion): Promise<void> {
  // what was overruled then stays overruled for the same reason; what nobody overruled is asked about
  const good = await act(() =>
    call(api.formula.revise, {
      params: { id: row.id },
      body: {
        version: row.version,
        versionId,
        body: one.body,
        ...(reason.value.trim() !== '' ? { overrule: reason.value } : one.overruled ? { overrule: one.overruled } : {}),
      },
    }),
  )
  if (!good) return
  versionId = uuid()
  emit('back')
}
</script>

<template>
  <div v-if="seen" class="card mt-4 border-2 border-primary" role="status">
    <p class="text-lg">
      <b>This is version {{ seen.number }} of {{ row.number }}</b
      >, written {{ showDate(seen.changedAt, zone) }} by {{ seen.changedBy }}. Bottles mixed from it are still reckoned by it.
    </p>
    <p v-if="seen.overruled">Kept all the same: {{ seen.overruled }}</p>
    <div class="mt-3 flex flex-wrap gap-3">
      <button class="button button-main button-small" :disabled="busy" @click="bringBack(seen)">
        Bring it back as version {{ row.number + 1 }}
      </button>
      <RouterLink class="button button-small" :to="`/formulary/compare?one=${row.id}@${seen.number}&other=${row.id}`"
        >Beside the newest</RouterLink
      >
      <RouterLink class="button button-small" :to="`/formulary/${row.id}`">The newest</RouterLink>
    </div>
    <ProblemLine :problem="problem" class="mt-2" />
    <TextField
      v-if="field === 'overrule' || reason !== ''"
      v-model="reason"
      class="mt-2"
      label="Bring it back all the same? Say why"
      hint="it stays on the version"
    />
  </div>
  <details v-else-if="versions.length > 1" class="mt-1">
    <summary class="link min-h-11 cursor-pointer">Earlier versions</summary>
    <ul>
      <li v-for="one in versions.filter((version) => version.number !== row.number)" :key="one.versionId">
        <RouterLink class="link inline-flex min-h-11 items-center" :to="`/formulary/${row.id}?version=${one.number}`"
          >Version {{ one.number }}</RouterLink
        >, {{ showDate(one.changedAt, zone) }}, {{ one.changedBy }}
      </li>
    </ul>
  </details>
</template>
