<script setup lang="ts">
import { families, familyNames, guideOf, testsFor, type Family, type TestKind } from '@selvrin/core'
import { api, type DueRuleRow } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, onMounted, ref, shallowRef } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ChoiceField from '../fields/ChoiceField.vue'
import ModalPanel from '../fields/ModalPanel.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import SwitchField from '../fields/SwitchField.vue'
import TextField from '../fields/TextField.vue'
import BathMark from '../marks/BathMark.vue'
import { useDueRules } from '../stores'
import { inSentence } from '../marks/words'
import WaitFor from '../fields/WaitFor.vue'

/** When each test falls due, as rules a technician can change. */
const rules = useDueRules()
onMounted(() => void rules.load())
const { busy, problem, act } = useAction()
const sorted = computed(() =>
  [...rules.rows].sort((a, b) => families.indexOf(a.family) - families.indexOf(b.family) || a.kind.localeCompare(b.kind)),
)
const when = (rule: DueRuleRow) =>
  [
    ...(rule.atMixing ? ['when fresh, as the reference'] : []),
    ...(rule.everyDays === null ? [] : [`after ${rule.everyDays} days`]),
    ...(rule.everyShare === null ? [] : [`after each ${Math.round(rule.everyShare * 100)} % of the capacity`]),
    ...(rule.beforeCritical ? ['the same day before critical films, and after two odd results'] : []),
  ].join('; ') || 'never by itself'

const open = shallowRef<DueRuleRow | 'new' | null>(null)
const family = ref<Family | null>(null)
const kind = ref<TestKind | null>(null)
const atMixing = ref(false)
const days = ref('')
const share = ref('')
const critical = ref(false)
const active = ref(true)
const tested = families.filter((one) => testsFor(one).length > 0).map((value) => ({ value, name: familyNames[value] }))
const kinds = computed(() =>
  (family.value ? testsFor(family.value) : [])
    .filter((guide) => !rules.rows.some((rule) => rule.family === family.value && rule.kind === guide.kind))
    .map((guide) => ({ value: guide.kind, name: guide.name })),
)
function begin(rule: DueRuleRow | 'new'): void {
  open.value = rule
  problem.value = ''
  const from = rule === 'new' ? null : rule
  family.value = from?.family ?? null
  kind.value = from?.kind ?? null
  atMixing.value = from?.atMixing ?? false
  days.value = from?.everyDays == null ? '' : String(from.everyDays)
  share.value = from?.everyShare == null ? '' : String(Math.round(from.everyShare * 100))
  critical.value = from?.beforeCritical ?? false
  active.value = from?.active ?? true
}
const figure = (text: string): number | null | undefined =>
  text.trim() === '' ? null : /^\d+([.,]\d+)?\s*%?$/.test(text.trim()) ? Number(text.replace('%', '').replace(',', '.')) : undefined
async function save(): Promise<void> {
  const [everyDays, percent] = [figure(days.value), figure(share.value)]
  const rule = open.value
  if (everyDays === undefined || percent === undefined || rule === null) {
    problem.value = 'Write days and percent as numbers, or leave them empty for never.'
    return
  }
  const body = {
    atMixing: atMixing.value,
    everyDays,
    everyShare: percent === null ? null : percent / 100,
    beforeCritical: critical.value,
    active: active.value,
  }
  const [newFamily, newKind] = [family.value, kind.value]
  if (rule === 'new' && (newFamily === null || newKind === null)) {
    problem.value = 'Choose the bath and its test.'
    return
  }
  const good = await act(() =>
    rule === 'new'
      ? call(api.proof.addRule, { body: { id: uuid(), family: newFamily ?? 'other', kind: newKind ?? 'fixer-ph', ...body } })
      : call(api.proof.changeRule, { params: { id: rule.id }, body: { version: rule.version, ...body } }),
  )
  if (good) open.value = null
  await rules.load(true)
}
</script>

<template>
  <div class="station max-w-5xl">
    <RouterLink to="/proofs" class="link inline-flex min-h-11 items-center">← Proofs</RouterLink>
    <div class="mb-3 flex flex-wrap items-center gap-5">
      <h1 class="text-3xl font-bold">When tests fall due</h1>
      <button class="button button-small ml-auto" @click="begin('new')">Another test</button>
    </div>
    <WaitFor :of="[rules]" what="the rules">
      <ul>
        <li v-for="rule in sorted" :key="rule.id" class="flex flex-wrap items-center gap-x-4 border-b border-line py-2">
          <BathMark :family="rule.family" :size="28" />
          <p class="min-w-0 flex-1">
            <b class="text-lg">{{ familyNames[rule.family] }}: {{ inSentence(guideOf(rule.kind).name) }}</b
            ><br />{{ rule.active ? when(rule).charAt(0).toUpperCase() + when(rule).slice(1) : 'Switched off' }}.
          </p>
          <button
            class="button button-small"
            :aria-label="`Change: ${familyNames[rule.family]}, ${guideOf(rule.kind).name}`"
            @click="begin(rule)"
          >
            Change
          </button>
        </li>
      </ul>
    </WaitFor>
    <ModalPanel
      :open="open !== null"
      :title="open === 'new' ? 'Another test' : kind && family ? `${familyNames[family]}: ${inSentence(guideOf(kind).name)}` : ''"
      @close="open = null"
    >
      <form class="space-y-4" @submit.prevent="save">
        <template v-if="open === 'new'">
          <ChoiceField v-model="family" label="Bath" :choices="tested" />
          <ChoiceField v-model="kind" label="Test" :choices="kinds" />
        </template>
        <SwitchField v-model="atMixing" label="When fresh, as the reference" />
        <div class="grid grid-cols-2 gap-4">
          <TextField v-model="days" label="After days without it" hint="empty for never" />
          <TextField v-model="share" label="After % of the capacity" hint="empty for never" />
        </div>
        <SwitchField v-model="critical" label="Before critical films" detail="the same day; and after two films that came out odd" />
        <SwitchField v-model="active" label="In force" />
        <ProblemLine :problem="problem" />
        <div class="flex gap-3">
          <button class="button button-main" :disabled="busy">Keep the rule</button>
          <button type="button" class="button" @click="open = null">Not now</button>
        </div>
      </form>
    </ModalPanel>
  </div>
</template>
