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
  const slow = ref(false)
  /** it is the fresh reading of its batch: held against nothing */
  const fresh = ref(false)
  const photo = shallowRef<PictureReading | null>(null)

  const readOf = (text: string) => (form.value && text.trim() !== '' ? readFigure(text, form.value) : null)
  const value = computed(() => readOf(figure.value))
  const besideFresh = computed(() => (kind.value === 'scrap-density' && !fresh.value ? readOf(freshFigure.value) : null))
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
      ...(slow.value ? { slowClearing: true } : {}),
      ...(offThePhoto.value && photo.value?.approximate ? { approximate: true } : {}),
    }
  })

  /** Figures off a photograph, which go again with it; what was written by hand stays. */
  function takePhoto(found: PictureReading | null): void {
    const before = photo.value
    if (before && !found) {
      if (figure.value === inField(before.scrap)) figure.value = ''
      if (freshFigure.value === inField(before.fresh)) freshFigure.value = ''
    }
    // a picture with the fresh scrap beside the new one is no fresh reading of its batch
    if (found) fresh.value = false
    photo.value = found
    if (found && !found.scrap.opaque) figure.value = inField(found.scrap)
    if (found && !found.fresh.opaque) freshFigure.value = inField(found.fresh)
  }
  function clear(): void {
    figure.value = ''
    freshFigure.value = ''
    look.value = null
    photo.value = null
  }
  return { form, figure, freshFigure, look, celsius, slow, fresh, value, wrongFigure, reading, takePhoto, clear }
}
