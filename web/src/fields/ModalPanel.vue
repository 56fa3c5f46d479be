<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'

defineProps<{ open: boolean; title: string; wide?: boolean }>()
defineEmits<{ close: [] }>()
</script>

<template>
  <Dialog :open="open" class="relative z-40" @close="$emit('close')">
    <div class="veil fixed inset-0" aria-hidden="true" />
    <div class="fixed inset-0 overflow-y-auto p-4">
      <div class="flex min-h-full items-center justify-center">
        <DialogPanel class="w-full rounded-sm border-2 border-ink bg-panel p-6 max-sm:p-4" :class="wide ? 'max-w-3xl' : 'max-w-xl'">
          <DialogTitle class="mb-4 text-2xl font-bold">{{ title }}</DialogTitle>
          <slot />
        </DialogPanel>
      </div>
    </div>
  </Dialog>
</template>

<style scoped>
.veil {
  background: color-mix(in srgb, var(--ground) 78%, transparent);
}
</style>
