import { calibratedPh, calibrationOf } from './calibration'
import { plainPattern, readDeviceLine } from './readDeviceLine'

const pattern = plainPattern('^(?:(?<stable>ST)|US),(?<value>[+-]?\\d+(?:\\.\\d+)?),(?<unit>g|kg|C|F|pH)$')
test.each([
  ['ST,+0012.34,g', 'scale', { value: 12.34, stable: true }],
  ['US,+0012.30,g', 'scale', { value: 12.3, stable: false }],
  ['ST,-0000.02,g\r', 'scale', { value: -0.02, stable: true }],
  ['ST,+0001.5,kg', 'scale', { value: 1500, stable: true }],
  ['ST,+0068.0,F', 'thermometer', { value: 20, stable: true }],
  ['ST,-0004.0,C', 'thermometer', { value: -4, stable: true }],
  ['ST,+08.62,pH', 'ph-meter', { value: 8.62, stable: true }],
  ['garbage', 'scale', null],
  ['ST,+08.62,pH', 'scale', null],
] as const)('%s of a %s', (line, kind, read) => {
  const found = readDeviceLine(pattern, line, kind)
  if (read === null) expect(found).toBeNull()
  else {
    expect(found?.value).toBeCloseTo(read.value, 6)
    expect(found?.stable).toBe(read.stable)
  }
})
test('a device that never says whether it has settled is taken at its word', () => {
  expect(readDeviceLine(plainPattern('(?<value>\\d+\\.\\d+)'), 'weight 5.25', 'scale')).toEqual({ value: 5.25, stable: true })
})

test('two buffers give slope and offset, and a reading its pH back', () => {
  const meter = (ph: number) => 7 + 0.95 * (ph - 7) + 0.12
  const calibration = calibrationOf([6.86, 9.18, 10.01].map((buffer) => ({ buffer, read: meter(buffer) })))
  expect(calibration.slope).toBeCloseTo(0.95, 9)
  expect(calibratedPh(meter(8.6), calibration)).toBeCloseTo(8.6, 9)
  expect(() =>
    calibrationOf([
      { read: 7, buffer: 7 },
      { read: 7.2, buffer: 7.3 },
    ]),
  ).toThrow(expect.objectContaining({ code: 'no-data' }))
  expect(() =>
    calibrationOf([
      { read: 7, buffer: 7 },
      { read: 8.5, buffer: 10 },
    ]),
  ).toThrow(expect.objectContaining({ code: 'worn-electrode' }))
})
