<script setup lang="ts">
import { useEventListener, useTimeoutFn } from '@vueuse/core'
import { ref, watch } from 'vue'
import { useKeys } from '../hand/keys'
import { useSession } from '../session/store'
import { openModals } from '../hand/modals'

/** What was just written, with the way back: reached at once by U or Ctrl+Z, gone by itself, never while it is pointed at or has the focus. */
const { says, busy = false } = defineProps<{ says: string; busy?: boolean }>()
const emit = defineEmits<{ undo: []; close: [] }>()
const staysMs = 20_000
const held = ref(false)
const waiting = useTimeoutFn(() => emit('close'), staysMs)
watch([() => says, held], () => (held.value ? waiting.stop() : waiting.start()))
const undo = (): boolean => {
  if (!busy) emit('undo')
  return true
}
const session = useSession()
useKeys((event) => session.person?.letterKeys !== false && event.key.toLowerCase() === 'u' && undo())
// no single key: it counts where those are switched off, and never in a field, whose own undo it is
function chord(event: KeyboardEvent): void {
  if (event.key.toLowerCase() !== 'z' || !(event.ctrlKey || event.metaKey) || event.altKey || event.shiftKey) return
  if (event.defaultPrevented || ['INPUT', 'TEXTAREA'].includes((event.target as HTMLElement).tagName) || openModals.length > 0) return
  event.preventDefault()
  undo()
}
useEventListener(document, 'keydown', chord)
</script>

<template>
  <div
    class="fixed bottom-24 left-1/2 z-20 flex w-max max-w-[calc(100vw-2rem)] -translate-x-1/2 items-center gap-x-5 gap-y-2 rounded-sm border-2 border-ink bg-panel px-5 py-3 text-lg"
    @pointerenter="held = true"
    @pointerleave="held = false"
    @focusin="held = true"
    @focusout="held = false"
  >
    <p role="status">{{ says }}</p>
    <button class="button shrink-0" aria-keyshortcuts="u Control+Z" :disabled="busy" @click="emit('undo')">
      Undo <kbd class="ml-2 font-mono font-normal max-sm:hidden" aria-hidden="true">U</kbd>
    </button>
    <button class="link min-h-11 min-w-11 shrink-0" aria-label="Close" @click="emit('close')">✕</button>
  </div>
</template>
