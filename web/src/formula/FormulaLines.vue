<script setup lang="ts">
import { catalogue } from '../chemical/chemistry'
import ChoiceField from '../fields/ChoiceField.vue'
import SwitchField from '../fields/SwitchField.vue'
import TextField from '../fields/TextField.vue'
import { useShow } from '../session/useShow'
import { emptyLine, withPack, type DraftLine, type Problems } from './draft'

/** The additions of a formula as they are typed, in the order in which they go in. */
const { shown } = defineProps<{ shown: Problems }>()
const lines = defineModel<DraftLine[]>({ required: true })
const show = useShow()
const chemicals = Object.values(catalogue())
  .map((chemical) => ({ value: chemical.id, name: chemical.name }))
  .sort((a, b) => a.name.localeCompare(b.name))
function move(from: number, by: number): void {
  const [line] = lines.value.splice(from, 1)
  if (line) lines.value.splice(from + by, 0, line)
}
</script>

<template>
  <fieldset>
    <legend class="mb-2 text-xl font-bold">Additions, in order</legend>
    <ol class="space-y-3">
      <li
        v-for="(line, i) in lines"
        :key="line.key"
        class="grid grid-cols-[2rem_minmax(0,3fr)_minmax(0,2fr)_minmax(0,1fr)_auto] items-start gap-3 border-b border-line pb-3 max-sm:grid-cols-2"
      >
        <b class="pt-9 font-mono text-lg max-sm:hidden">{{ i + 1 }}</b>
        <ChoiceField v-model="line.chemical" label="Chemical" :choices="chemicals" />
        <TextField
          v-model="line.amount"
          label="Amount"
          :problem="shown[`line ${line.key}`] ?? ''"
          :hint="line.amount === '' ? `${show.unit('mass', null)}; ${show.unit('volume', null)} for liquids` : ''"
        />
        <TextField v-model="line.percent" label="% stock" />
        <div class="flex gap-1 pt-7">
          <button
            type="button"
            class="button button-small"
            :disabled="i === 0"
            :aria-label="`Move addition ${i + 1} up`"
            @click="move(i, -1)"
          >
            ↑
          </button>
          <button
            type="button"
            class="button button-small"
            :disabled="i === lines.length - 1"
            :aria-label="`Move addition ${i + 1} down`"
            @click="move(i, 1)"
          >
            ↓
          </button>
          <button type="button" class="button button-small" :aria-label="`Take addition ${i + 1} out`" @click="lines.splice(i, 1)">
            ✕
          </button>
        </div>
        <details class="col-start-2 col-end-5 max-sm:col-span-2 max-sm:col-start-1">
          <summary class="link">
            Temperature and note{{ line.at || line.note ? ` (${[line.at, line.note].filter(Boolean).join(', ')})` : '' }}
          </summary>
          <div class="mt-2 grid grid-cols-[8rem_minmax(0,1fr)] gap-3">
            <SwitchField
              class="col-span-2"
              :model-value="line.kept.wholePack !== undefined"
              label="A sealed pack"
              detail="its powders are used whole"
              @update:model-value="(pack: boolean) => (line.kept = withPack(line.kept, pack))"
            />
            <TextField v-model="line.at" label="Goes in at" />
            <TextField v-model="line.note" label="What to watch" />
          </div>
        </details>
      </li>
    </ol>
    <button type="button" class="button button-small mt-3" @click="lines.push(emptyLine())">Add a chemical</button>
    <p class="mt-2 text-quiet">Leave the list empty for a bought concentrate or kit.</p>
  </fieldset>
</template>
