<script setup lang="ts">
import { ref } from 'vue'
import AskCard from '../src/fields/AskCard.vue'
import ChoiceField from '../src/fields/ChoiceField.vue'
import PressOne from '../src/fields/PressOne.vue'
import ProblemLine from '../src/fields/ProblemLine.vue'
import ProgressBar from '../src/fields/ProgressBar.vue'
import QuantityField from '../src/fields/QuantityField.vue'
import RatioField from '../src/fields/RatioField.vue'
import { readShare, writePercent } from '../src/fields/read'
import ReadField from '../src/fields/ReadField.vue'
import SwitchField from '../src/fields/SwitchField.vue'
import TextField from '../src/fields/TextField.vue'

/** Fields and buttons: empty, filled, refused, resting. */
const text = ref('Soft borax developer')
const none = ref('')
const choice = ref<string | null>('b')
const unchosen = ref<string | null>(null)
const on = ref(true)
const off = ref(false)
const ml = ref<number | null>(750)
const nothing = ref<number | null>(null)
const share = ref<number | null>(0.855)
const parts = ref<number[] | null>([1, 4])
const choices = [
  { value: 'a', name: 'D1 Plain metol developer' },
  { value: 'b', name: 'D3 Soft borax developer', detail: '620 ml, 2 of 20 rolls used' },
  { value: 'c', name: 'D4, failed its test', disabled: true },
]
const looks = [
  { value: 'a', name: 'clear' },
  { value: 'b', name: 'milky' },
]
</script>

<template>
  <TextField v-model="none" label="Empty" hint="what it is for" />
  <TextField v-model="text" label="Filled" />
  <TextField v-model="text" label="Refused" problem="There is a formula of that name already. Choose another name." />
  <TextField v-model="text" label="Many lines" multiline />
  <ChoiceField v-model="unchosen" label="Nothing chosen" :choices="choices" placeholder="Choose the film first" />
  <ChoiceField v-model="choice" label="Chosen" :choices="choices" />
  <ChoiceField v-model="choice" label="Refused" :choices="choices" problem="This bottle is empty." />
  <QuantityField v-model="ml" kind="volume" label="Amount" hint="as poured" />
  <QuantityField v-model="nothing" kind="temperature" label="Not measured yet" problem="Measure it first." />
  <ReadField v-model="share" label="A figure" hint="such as 85 %" :read="readShare" :write="writePercent" />
  <RatioField v-model="parts" label="A dilution" hint="type 1:4 for what is asked about" />
  <ProgressBar words="Sending the sheet" :share="0.4" stoppable />
  <ProgressBar words="Written, being kept" :share="1" :stoppable="false" />
  <SwitchField v-model="on" label="On" detail="with what it means" />
  <SwitchField v-model="off" label="Off" />
  <PressOne v-model="choice" label="One of them" :choices="looks" clearable />
  <PressOne v-model="choice" label="Large" :choices="looks" large />
  <div class="flex flex-wrap gap-3">
    <button class="button button-main">The main thing</button><button class="button">Another</button>
    <button class="button button-small">Small</button><button class="button button-main" disabled>Resting</button>
    <button class="button" disabled>Resting</button><a class="link" href="#">A link</a>
  </div>
  <ProblemLine problem="The bottle does not hold that much any more. Look how much is left and pour less." />
  <AskCard question="What you typed here is not kept yet." back="Go on typing" on="Drop it" />
</template>
