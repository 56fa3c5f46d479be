<script setup lang="ts">
import { showTime } from '@selvrin/core'
import { useShow } from '../session/useShow'

/** A step that is done by looking: what it is, what to watch for, how long it has gone on, how long it usually takes. */
const { fromS, toS } = defineProps<{
  name: string
  watch: string
  seconds: number | null
  inspected: boolean
  fromS: number
  toS: number
}>()
const show = useShow()
const usual = (): string => (fromS === toS ? showTime(fromS) : `${showTime(fromS)} to ${showTime(toS)}`)
</script>

<template>
  <p class="text-3xl font-bold" role="status">{{ show.said(name) }}</p>
  <p class="text-lg">{{ show.said(watch) }}</p>
  <p class="my-1 font-mono text-8xl leading-none font-bold max-sm:text-6xl" data-up>{{ showTime(Math.floor(seconds ?? 0)) }}</p>
  <p class="mb-3 text-lg text-quiet">{{ inspected ? 'By looking' : 'By the clock' }}; usually {{ usual() }}</p>
</template>
