import type { PictureReading, TestKind } from '@selvrin/core'
import { ref } from 'vue'
import { useReading } from './useReading'

const of = (kind: TestKind) => useReading(ref<TestKind | null>(kind))
const patch = (density: number, opaque = false) => ({ density, spread: 0.01, opaque })
const photo = (fresh: number, scrap: number, approximate = true): PictureReading => ({
  fresh: patch(fresh),
  scrap: patch(scrap),
  base: null,
  ratio: scrap / fresh,
  wedge: [],
  approximate,
})

describe('what is read in a test', () => {
  test('a figure with what belongs to it; nothing while it cannot be read', () => {
    const test = of('clearing-time')
    expect(test.reading.value).toBeNull()
    test.figure.value = 'about a minute'
    expect([test.reading.value, test.wrongFigure.value]).toEqual([null, expect.stringContaining('cannot be read')])
    test.figure.value = '1:08'
    test.celsius.value = 21.5
    test.filmKind.value = 'slow'
    expect([test.reading.value, test.wrongFigure.value]).toEqual([{ value: 68, celsius: 21.5, slowClearing: true }, ''])
  })
  test('what is seen goes before a figure, and gives way to it when it is taken back', () => {
    const test = of('stop-indicator')
    test.figure.value = '5.4'
    test.look.value = 'purple'
    expect(test.reading.value).toEqual({ look: 'purple' })
    test.look.value = null
    expect(test.reading.value).toEqual({ value: 5.4 })
  })
  test('a fresh reading is held against nothing beside it', () => {
    const test = of('scrap-density')
    test.figure.value = '1,2'
    test.freshFigure.value = '1.25'
    expect(test.reading.value).toEqual({ value: 1.2, fresh: 1.25 })
    test.fresh.value = true
    expect(test.reading.value).toEqual({ value: 1.2 })
  })
  test('a photograph brings both figures and takes them away again; those by hand stay', () => {
    const test = of('scrap-density')
    test.fresh.value = true
    test.takePhoto(photo(1.2, 0.96))
    expect([test.fresh.value, test.reading.value]).toEqual([false, { value: 0.96, fresh: 1.2, approximate: true }])
    test.takePhoto(null)
    expect([test.figure.value, test.freshFigure.value, test.reading.value]).toEqual(['', '', null])
    test.takePhoto(photo(1.2, 0.96))
    test.figure.value = '1.01'
    // read at a densitometer: the photograph no longer stands behind it
    expect(test.reading.value).toEqual({ value: 1.01, fresh: 1.2 })
    test.takePhoto(null)
    expect(test.figure.value).toBe('1.01')
  })
  test('a wedge in the picture makes it no longer approximate, and opaque patches give no figure', () => {
    const test = of('scrap-density')
    test.takePhoto(photo(1.2, 0.96, false))
    expect(test.reading.value).toEqual({ value: 0.96, fresh: 1.2 })
    test.clear()
    test.takePhoto({ ...photo(2.4, 2.3), fresh: patch(2.4, true), scrap: patch(2.3, true), ratio: null })
    expect([test.figure.value, test.reading.value]).toEqual(['', null])
  })
})
