import type { PictureReading, Reading, TestKind } from '@selvrin/core'
import { computed, ref, shallowRef, type Ref } from 'vue'
import { readFigure, readingForm } from './readings'

/** What is read in a test of one kind, as it is typed, chosen, or taken off a photograph. */
export function useReading(kind: Ref<TestKind | null>) {
  const form = computed(() => (kind.value ? readingForm(kind.value) : null))
  const figure = ref('')
  const freshFigure = ref('')
  const look = ref<string | null>(null)
  const celsius = ref<number | null>(null)
  /** kind of film of a clearing time: 'ordinary' or 'slow'; null while nobody has said */
  const filmKind = ref<'ordinary' | 'slow' | null>(null)
  /** density of clear film */
  const baseFigure = ref('')
  /** why a reading that cannot be is kept */
  const doubtful = ref('')
  /** it is the fresh reading of its batch: held against nothing */
  const fresh = ref(false)
  const photo = shallowRef<PictureReading | null>(null)

  const readOf = (text: string) => (form.value && text.trim() !== '' ? readFigure(text, form.value) : null)
  const value = computed(() => readOf(figure.value))
  const besideFresh = computed(() => (kind.value === 'scrap-density' && !fresh.value ? readOf(freshFigure.value) : null))
  const besideBase = computed(() => (kind.value === 'scrap-density' ? readOf(baseFigure.value) : null))
  const wrongFigure = computed(() =>
    figure.value.trim() !== '' && value.value === null ? 'This cannot be read: write a number such as 68 or 8.4.' : '',
  )
  const inField = (area: PictureReading['scrap']): string => area.density.toFixed(2)
  const offThePhoto = computed(() => photo.value !== null && figure.value === inField(photo.value.scrap))

  const reading = computed((): Reading | null => {
    if (look.value !== null) return { look: look.value }
    if (value.value === null) return null
    return {
      value: value.value,
      ...(besideFresh.value === null ? {} : { fresh: besideFresh.value }),
      ...(celsius.value === null ? {} : { celsius: celsius.value }),
      ...(kind.value === 'clearing-time' && filmKind.value !== null ? { slowClearing: filmKind.value === 'slow' } : {}),
      ...(besideBase.value === null ? {} : { base: besideBase.value }),
      ...(doubtful.value.trim().length < 3 ? {} : { doubtful: doubtful.value.trim() }),
      ...(offThePhoto.value && photo.value?.approximate ? { approximate: true } : {}),
    }
  })

  /** Figures off a photograph, which go again with it; what was written by hand stays. */
  function takePhoto(found: PictureReading | null): void {
    const before = photo.value
    if (before && !found) {
      if (figure.value === inField(before.scrap)) figure.value = ''
      if (freshFigure.value === inField(before.fresh)) freshFigure.value = ''
      if (before.base && baseFigure.value === inField(before.base)) baseFigure.value = ''
    }
    // a picture with the fresh scrap beside the new one is no fresh reading of its batch
    if (found) fresh.value = false
    photo.value = found
    if (found && !found.scrap.opaque) figure.value = inField(found.scrap)
    if (found && !found.fresh.opaque) freshFigure.value = inField(found.fresh)
    if (found?.base) baseFigure.value = inField(found.base)
  }
  function clear(): void {
    figure.value = ''
    freshFigure.value = ''
    baseFigure.value = ''
    doubtful.value = ''
    look.value = null
    photo.value = null
  }
  return { form, figure, freshFigure, baseFigure, look, celsius, filmKind, doubtful, fresh, value, wrongFigure, reading, takePhoto, clear }
}
