<script setup lang="ts">
import { castNamed, trainerLevels } from '@selvrin/core'
import { computed } from 'vue'
import PageState from '../fields/PageState.vue'
import PressOne from '../fields/PressOne.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import { light } from '../light/light'
import { turnWords } from '../printroom/words'
import { useShow } from '../session/useShow'
import ShownPicture from './ShownPicture.vue'
import { useTrainer } from './useTrainer'

/** Casts practised on pictures that nobody took, so that nobody goes the wrong way with good paper. */
const view = useTrainer()
const { page, material, materialNow, round, turns, turning, ended, busy, problem, levelOf, hidden, state, pack, pictures } = view
const show = useShow()
const dials = [
  { key: 'y' as const, name: 'Yellow' },
  { key: 'm' as const, name: 'Magenta' },
]
const steps = [-20, -10, -5, 5, 10, 20]
const isTurned = computed(() => turning.value.y !== 0 || turning.value.m !== 0)
const way = computed(() =>
  materialNow.value === 'negative'
    ? 'on paper for negatives what a print has too much of goes into the filter, or less of its opposite'
    : 'on paper for slides what a print has too much of comes out of the filter, or more of its opposite goes in',
)
/** what was hidden, as a cast and as what it took */
const was = computed(() => {
  const { value: lacked } = hidden
  const named = lacked && castNamed(lacked, materialNow.value)
  return lacked && named ? `It was too ${named.cast}: ${turnWords(lacked)}.` : ''
})
const rounds = computed(() => page.value.value?.rounds ?? [])
</script>

<template>
  <div class="station">
    <PageState
      v-if="!round"
      :missing="page.missing.value"
      :problem="page.problem.value"
      what="the trainer"
      back="To the Trays"
      back-to="/trays"
    />
    <template v-else>
      <div class="mb-3 flex flex-wrap items-center gap-x-5 gap-y-1">
        <RouterLink to="/trays" class="link inline-flex min-h-11 items-center">← Trays</RouterLink>
        <h1 class="text-3xl font-bold">Which way is the cast?</h1>
        <p class="text-quiet">level {{ round.level }} of {{ trainerLevels.length }}</p>
        <PressOne
          v-if="turns.length === 0"
          v-model="material"
          label="Paper"
          class="ml-auto"
          :choices="[
            { value: 'negative', name: 'paper for negatives' },
            { value: 'reversal', name: 'paper for slides' },
          ]"
        />
      </div>
      <ProblemLine :problem="problem || page.problem.value" />
      <p v-if="light !== 'white'" class="text-xl">Colours are judged in white light: the pictures stand there.</p>
      <template v-else>
        <div class="flex flex-wrap items-start gap-6">
          <figure v-if="pictures[0]" class="min-w-72 flex-1">
            <ShownPicture :of="pictures[0]" :name="`${view.sceneName.value}, print ${turns.length + 1}`" />
            <figcaption class="mt-1 text-lg">
              <b>{{ view.sceneName.value }}</b>, print {{ turns.length + 1 }} through <b class="font-mono">{{ pack.y }} Y {{ pack.m }} M</b>
            </figcaption>
          </figure>
          <figure v-if="pictures[1] && (levelOf?.beside || ended)" class="min-w-72 flex-1">
            <ShownPicture :of="pictures[1]" :name="`${view.sceneName.value} as it should be`" />
            <figcaption class="mt-1 text-lg">as it should be</figcaption>
          </figure>
          <div class="w-96 max-w-full space-y-3">
            <template v-if="ended">
              <p class="text-5xl font-bold" role="status">{{ show.number(ended.score, 0) }} <span class="text-2xl">of 100</span></p>
              <p class="text-lg">
                {{ was }} {{ turns.length === 1 ? 'One print' : `${turns.length} prints` }},
                {{ ended.rest < 0.5 ? 'nothing left of it' : `${show.number(ended.rest, 0)} units left (${turnWords(ended.lacks)})` }}.
              </p>
              <button type="button" class="button button-main min-h-16 px-6 text-2xl" data-next @click="view.another">Another one</button>
            </template>
            <template v-else>
              <p v-if="state?.wrongWay" class="border-l-4 border-alarm pl-3 text-lg font-semibold" role="alert">
                The wrong way: it is further off than before. Remember, {{ way }}.
              </p>
              <div v-for="dial in dials" :key="dial.key" role="group" :aria-label="dial.name">
                <p class="text-lg">
                  <b>{{ dial.name }}</b> <span class="font-mono text-2xl">{{ pack.next[dial.key] }}</span>
                  <span v-if="turning[dial.key] !== 0" class="font-mono">
                    ({{ turning[dial.key] > 0 ? '+' : '−' }}{{ Math.abs(turning[dial.key]) }})</span
                  >
                </p>
                <div class="flex flex-wrap gap-1">
                  <button v-for="step in steps" :key="step" type="button" class="button button-small" @click="view.turn(dial.key, step)">
                    {{ step > 0 ? '+' : '−' }}{{ Math.abs(step) }}<span class="sr-only"> {{ dial.name }}</span>
                  </button>
                </div>
              </div>
              <div class="flex flex-wrap gap-3">
                <button
                  type="button"
                  class="button min-h-16 px-6 text-2xl"
                  :class="isTurned ? 'button-main' : ''"
                  :disabled="!isTurned"
                  data-next
                  @click="view.print"
                >
                  Print it
                </button>
                <button
                  type="button"
                  class="button min-h-16 px-6 text-2xl"
                  :class="isTurned ? '' : 'button-main'"
                  :disabled="turns.length === 0 || isTurned || busy"
                  @click="view.callRight"
                >
                  It is right
                </button>
              </div>
              <p class="text-quiet">
                Say first what it has too much of; then turn. {{ way.charAt(0).toUpperCase() }}{{ way.slice(1) }}. A print more costs 15 of
                100, a unit that is left 4.
              </p>
            </template>
          </div>
        </div>
        <section v-if="rounds.length > 0" class="mt-6" aria-labelledby="rounds">
          <h2 id="rounds" class="mb-1 text-xl font-bold">Your rounds</h2>
          <ul class="flex flex-wrap gap-x-5 gap-y-1">
            <li v-for="one in rounds.slice(0, 12)" :key="one.id">
              level {{ one.level }}: <b class="font-mono">{{ show.number(one.score, 0) }}</b>
              <span class="text-quiet">{{ one.prints === 1 ? 'one print' : `${one.prints} prints` }}</span>
            </li>
          </ul>
          <p class="text-quiet">Yours alone. Two in a row of 70 and more lead a level up.</p>
        </section>
      </template>
    </template>
  </div>
</template>
