<script setup lang="ts">
import { coatCautions, coatedWith, type PouredPart } from '@selvrin/core'
import { computed, ref } from 'vue'
import ChoiceField from '../fields/ChoiceField.vue'
import { readFigure } from '../fields/figure'
import ProblemLine from '../fields/ProblemLine.vue'
import TextField from '../fields/TextField.vue'
import FindingList from '../marks/FindingList.vue'
import { useShow } from '../session/useShow'
import { partName } from './coatWords'
import type { CoatedView } from './useCoated'
import { usePouring } from './usePouring'

/** Part by part into the glass, each drop counted as it falls; then it is coated. */
const { view } = defineProps<{ view: CoatedView }>()
const show = useShow()
const pouring = usePouring(view)
const { body, parts, chosen, humidity } = pouring
const wrong = ref('')
/** the shelf was looked at */
const isLooked = computed(() => view.bench.there.value !== null)
const overrule = ref('')
const choices = (one: PouredPart) =>
  pouring.bottlesFor(one).map(({ id, label, name, ml }) => ({ value: id, name: `${label}, ${name}`, detail: `${show.volume(ml)} in it` }))
const chosenBottles = computed(() => (view.bench.there.value?.bench ?? []).filter((one) => Object.values(chosen).includes(one.id)))
const speaks = computed(() => chosenBottles.value.flatMap((one) => one.findings).filter((one) => one.severity !== 'advice'))
const isCounted = computed(() => parts.value.every((one) => pouring.drops(one.part) >= one.drops))
const byWhat = computed(() => {
  if (!body.value) return ''
  const { coatedWith: by, coats } = body.value
  const once = coats === 1 ? 'One coat' : `${coats} coats`
  return by === 'brush'
    ? `${once} by brush, whose first takes ×${show.plain(coatedWith.brush)}`
    : `${once} by rod, which takes ×${show.plain(coatedWith.rod)}`
})
async function coat(): Promise<void> {
  wrong.value = ''
  const act = pouring.read(readFigure(humidity.value), overrule.value)
  if (typeof act === 'string') return void (wrong.value = act)
  await view.write(act)
}
</script>

<template>
  <section aria-labelledby="coat">
    <h2 id="coat" class="mb-2 text-2xl font-bold">Coat it</h2>
    <ul v-if="body" class="mb-4 border-l-4 border-alarm pl-4" aria-label="With care">
      <li v-for="one in coatCautions(body.process)" :key="one" class="text-lg font-semibold">{{ one }}</li>
    </ul>
    <p class="mb-3">{{ byWhat }}. Tungsten or yellow light; the parts in this order, each into the same small glass.</p>
    <ol class="mb-4 space-y-4">
      <li v-for="(one, i) in parts" :key="one.part" class="border-b border-line pb-3">
        <p class="text-xl">
          <b>{{ i + 1 }}. {{ partName(one.part) }}</b
          >, <span class="font-mono">{{ show.number(one.ml, 2) }} ml</span>
        </p>
        <div class="flex flex-wrap items-center gap-3">
          <button
            type="button"
            class="button button-main min-h-20 px-6 text-2xl"
            :data-next="pouring.drops(one.part) < one.drops ? '' : undefined"
            @click="pouring.set(one.part, pouring.drops(one.part) + 1)"
          >
            One drop<span class="sr-only">: {{ partName(one.part) }}</span>
          </button>
          <p class="font-mono text-5xl font-bold" role="status" :aria-label="`Drops of ${partName(one.part)}`">
            {{ pouring.drops(one.part) }}<span class="text-2xl text-quiet"> of {{ one.drops }}</span>
          </p>
          <button
            type="button"
            class="button"
            :disabled="pouring.drops(one.part) === 0"
            @click="pouring.set(one.part, pouring.drops(one.part) - 1)"
          >
            One less<span class="sr-only">: {{ partName(one.part) }}</span>
          </button>
          <button type="button" class="button" @click="pouring.set(one.part, one.drops)">
            All {{ one.drops }} are in<span class="sr-only">: {{ partName(one.part) }}</span>
          </button>
        </div>
        <p v-if="!isLooked" class="mt-2 text-quiet">Looking at the shelf.</p>
        <p v-else-if="choices(one).length === 0" class="mt-2 font-semibold" role="alert">
          ▲ None of it stands on the shelf: mix it at the <RouterLink to="/scales" class="link">Scales</RouterLink>, or pour its parts
          together on their card in the <RouterLink to="/formulary" class="link">Formulary</RouterLink>.
        </p>
        <ChoiceField v-else v-model="chosen[one.part]!" class="mt-2 max-w-md" label="Out of" :choices="choices(one)" />
      </li>
    </ol>
    <FindingList v-if="speaks.length > 0" class="mb-3" :findings="speaks" />
    <div class="mb-3 grid max-w-2xl grid-cols-2 gap-3 max-sm:grid-cols-1">
      <TextField v-model="humidity" label="Humidity here" hint="%; 50 to 60 is even; empty where nobody looked" />
      <TextField v-if="speaks.length > 0" v-model="overrule" label="Why that bottle all the same" />
    </div>
    <ProblemLine :problem="wrong || view.problem.value" />
    <button
      type="button"
      class="button min-h-16 px-6 text-2xl"
      :class="isCounted ? 'button-main' : ''"
      :data-next="isCounted ? '' : undefined"
      :disabled="view.busy.value || !isLooked"
      @click="coat"
    >
      It is coated
    </button>
  </section>
</template>
