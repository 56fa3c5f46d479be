<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { aidOfFamily, firstAid, hurtNames, hurts, showTime, spillCard, wasteFamilies, type Hurt } from '@selvrin/core'
import { computed, ref } from 'vue'
import { useClocks } from '../run/clocks'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import { familyName } from '../aid/familyName'
import { anything, beforeYou, type BeforeYou } from '../aid/before'
import { numbers } from './numbers'
import SpillForm from './SpillForm.vue'

/** What to do now, readable from two metres: the first question is what happened, then what it is. Whom to call stands below, whatever is shown. */
defineEmits<{ close: [] }>()
const session = useSession()
const show = useShow()
const clocks = useClocks()
const happened = ref<Hurt | 'spilled'>('spilled')
const chosen = ref<BeforeYou | null>(null)
const choosing = ref(false)
const writing = ref(false)
/** what was typed stays while one looks at the card again */
const begun = ref(false)
/** what is known by name, and every family there is */
const others = computed((): BeforeYou[] =>
  [...wasteFamilies, null].map((family) => ({ name: familyName(family), of: aidOfFamily(family) })),
)
const what = computed(() => chosen.value ?? beforeYou.value[0] ?? null)
const spill = computed(() => spillCard({ family: what.value?.of.family ?? null }))
const steps = computed(() =>
  happened.value === 'spilled' ? [...spill.value.first, ...spill.value.then] : firstAid(happened.value, (what.value ?? anything).of),
)
const events: { value: Hurt | 'spilled'; name: string }[] = [
  { value: 'spilled', name: 'Spilled' },
  ...hurts.map((value) => ({ value, name: hurtNames[value] })),
]
const clock = computed(() => clocks.running[0])
function take(one: BeforeYou): void {
  chosen.value = one
  choosing.value = false
}
</script>

<template>
  <Dialog open class="relative z-50" data-aid @close="writing ? undefined : $emit('close')">
    <div class="fixed inset-0 overflow-y-auto bg-ground">
      <DialogPanel class="grid min-h-full grid-rows-[auto_minmax(0,1fr)_auto]">
        <header class="flex flex-wrap items-center gap-x-5 gap-y-2 border-b-2 border-ink px-6 py-2 max-sm:px-4">
          <DialogTitle class="text-3xl font-bold">{{ writing ? 'Write it down' : 'Help' }}</DialogTitle>
          <p v-if="clock" class="text-xl">
            ▶ <b class="font-mono">{{ showTime(Math.max(Math.ceil(clock.remainingS), 0)) }}</b> {{ clock.step }}
          </p>
          <button type="button" class="button ml-auto" @click="writing ? (writing = false) : $emit('close')">
            {{ writing ? 'Back to the card' : 'Close' }}
          </button>
        </header>
        <SpillForm v-if="begun" v-show="writing" class="px-6 py-4 max-sm:px-4" :what="what ?? anything" @done="$emit('close')" />
        <div v-show="!writing" class="grid grid-cols-[15rem_minmax(0,1fr)] max-sm:grid-cols-1">
          <div
            role="group"
            aria-label="What happened"
            class="flex flex-col gap-2 border-r border-line p-4 max-sm:flex-row max-sm:flex-wrap"
          >
            <button
              v-for="one in events"
              :key="one.value"
              type="button"
              class="button min-h-14 justify-start text-xl max-sm:min-h-12 max-sm:text-base"
              :class="happened === one.value ? 'button-main' : ''"
              :aria-pressed="happened === one.value"
              @click="happened = one.value"
            >
              {{ one.name }}
            </button>
          </div>
          <div class="px-6 py-4 max-sm:px-4">
            <div role="group" aria-label="What is it" class="mb-3 flex flex-wrap gap-2">
              <button
                v-for="one in beforeYou.slice(0, 6)"
                :key="one.name"
                type="button"
                class="button"
                :class="what?.name === one.name ? 'button-main' : ''"
                :aria-pressed="what?.name === one.name"
                @click="take(one)"
              >
                {{ one.name }}
              </button>
              <button type="button" class="button" :aria-expanded="choosing" @click="choosing = !choosing">
                {{ beforeYou.length > 0 ? 'Something else' : what ? what.name : 'What is it?' }}
              </button>
              <template v-if="choosing">
                <span class="basis-full" />
                <button
                  v-for="one in others"
                  :key="one.name"
                  type="button"
                  class="button"
                  :class="what?.name === one.name ? 'button-main' : ''"
                  :aria-pressed="what?.name === one.name"
                  @click="take(one)"
                >
                  {{ one.name }}
                </button>
              </template>
            </div>
            <p v-if="what && familyName(what.of.family) !== what.name" class="mb-2 text-xl" data-family>
              Treated as {{ familyName(what.of.family) }}.
            </p>
            <p v-if="happened === 'spilled'" class="mb-3 border-l-8 border-alarm pl-4 text-2xl font-bold">▲ {{ show.said(spill.leave) }}</p>
            <ol class="space-y-1.5" aria-label="What to do">
              <li
                v-for="(step, i) in steps"
                :key="step"
                class="flex gap-4 font-semibold"
                :class="happened === 'spilled' ? 'text-3xl max-sm:text-2xl' : 'text-5xl leading-tight max-sm:text-3xl'"
              >
                <span class="font-mono" aria-hidden="true">{{ i + 1 }}</span><span>{{ show.said(step) }}</span>
              </li>
            </ol>
            <template v-if="happened === 'spilled'">
              <p v-for="one in spill.never" :key="one" class="mt-3 text-4xl font-bold text-alarm max-sm:text-2xl">✕ {{ one }}</p>
              <p class="mt-3 text-xl">{{ spill.bin }}</p>
              <div class="mt-3 flex flex-wrap gap-3">
                <button v-if="session.person" type="button" class="button" @click="begun = writing = true">
                  Cleaned up: write it down
                </button>
                <a v-if="session.person" class="button" href="/api/aid/cards" target="_blank">All cards on paper</a>
              </div>
            </template>
            <p v-else-if="session.person" class="mt-6">
              <RouterLink to="/exposures" class="button" @click="$emit('close')">Afterwards: a note of exposure</RouterLink>
            </p>
          </div>
        </div>
        <footer class="border-t-2 border-ink bg-panel px-6 py-3 max-sm:px-4" aria-label="Whom to call">
          <p v-if="numbers.emergency || numbers.poison" class="flex flex-wrap gap-x-10 text-4xl font-bold max-sm:text-2xl">
            <span v-if="numbers.emergency"
              >Call <b class="font-mono">{{ numbers.emergency }}</b></span
            >
            <span v-if="numbers.poison"
              >Poison centre <b class="font-mono">{{ numbers.poison }}</b></span
            >
          </p>
          <p v-else class="text-2xl font-bold text-alarm">
            ▲ {{ numbers.known ? 'No number is written down here' : 'The numbers are not known on this device' }}: call the emergency
            service of your country.
            <RouterLink v-if="session.isTechnician && numbers.known" to="/sink/facts" class="link" @click="$emit('close')"
              >Write them down</RouterLink
            >
          </p>
          <p class="text-quiet">Those who answer there, the supplier’s safety sheet and local rules decide.</p>
        </footer>
      </DialogPanel>
    </div>
  </Dialog>
</template>
