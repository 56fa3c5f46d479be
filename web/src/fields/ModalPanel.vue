<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { computed, inject, onBeforeUnmount, ref, useTemplateRef, watch, type ComponentPublicInstance } from 'vue'
import EndedDialog from './EndedDialog.vue'
import { useSession } from '../session/store'
import AskCard from './AskCard.vue'
import { helpKey, openModals } from '../hand/modals'
import { presenceAsked, presenceKey } from '../hand/present'
import { helpAsked } from '../light/dark'
import { useTyped } from '../hand/typed'

/** A dialog. What is typed in it is not lost by a click beside it or by Escape: that asks first. */
const { open } = defineProps<{ open: boolean; title: string; wide?: boolean }>()
const emit = defineEmits<{ close: [] }>()
const AidCall = inject(helpKey, null)
const Presence = inject(presenceKey, null)
const session = useSession()
const me = Symbol('dialog')
const { touched, kept } = useTyped(me)
const asking = ref(false)
const isTop = computed(() => openModals.at(-1) === me)
let opener: Element | null = null
const leave = () => {
  const i = openModals.indexOf(me)
  if (i < 0) return
  openModals.splice(i, 1)
  // whoever opened it has the focus again, once the dialog has let go of it
  const back = opener
  setTimeout(() => {
    if (back instanceof HTMLElement && back.isConnected && openModals.length === 0 && !document.activeElement?.closest('[role="dialog"]'))
      back.focus({ preventScroll: true })
  })
}
watch(
  () => open,
  (now) => {
    asking.value = false
    kept()
    leave()
    if (!now) return
    opener = document.activeElement
    openModals.push(me)
  },
  { immediate: true },
)
onBeforeUnmount(leave)

/** A dialog that has nothing to press yet (it asks the server first) takes the focus at its title, or the keys would still be for what lies under it. */
const heading = useTemplateRef<ComponentPublicInstance>('heading')
watch(heading, (now) => {
  const element: unknown = now?.$el
  // after the dialog has looked for something to press itself
  if (element instanceof HTMLElement)
    setTimeout(() => {
      if (element.isConnected && !document.activeElement?.closest('[role="dialog"]')) element.focus({ preventScroll: true })
    })
})
/** … and keeps it there: Tab would leave for the page under it. */
function held(event: KeyboardEvent): void {
  const { currentTarget: panel } = event
  if (panel instanceof HTMLElement && !panel.querySelector('a[href], button:not([disabled]), input, textarea, [tabindex="0"]'))
    event.preventDefault()
}

/** Escape, or a click beside the dialog. */
function closing(): void {
  if (session.ended) return
  if (touched.value && !asking.value) asking.value = true
  else emit('close')
}
</script>

<template>
  <Dialog :open="open" class="relative z-40" @close="closing">
    <div class="veil fixed inset-0" aria-hidden="true" />
    <div class="fixed inset-0 overflow-y-auto p-4">
      <div class="flex min-h-full items-center justify-center">
        <DialogPanel
          class="w-full rounded-sm border-2 border-ink bg-panel p-6 max-sm:p-4"
          :class="wide ? 'max-w-3xl' : 'max-w-xl'"
          @keydown.tab="held"
        >
          <DialogTitle ref="heading" tabindex="-1" class="mb-4 text-2xl font-bold outline-none">{{ title }}</DialogTitle>
          <AskCard
            v-if="asking"
            class="mb-4"
            question="What you typed here is not kept yet."
            back="Go on typing"
            on="Drop it"
            @back="asking = false"
            @on="emit('close')"
          />
          <slot />
        </DialogPanel>
      </div>
    </div>
    <component :is="AidCall" v-if="AidCall && helpAsked && isTop" />
    <component :is="Presence" v-if="Presence && presenceAsked?.under === me" />
    <EndedDialog v-if="session.ended && isTop" />
  </Dialog>
</template>

<style scoped>
.veil {
  background: color-mix(in srgb, var(--ground) 78%, transparent);
}
</style>
