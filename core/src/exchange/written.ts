/** A figure as it stands in a file: four decimals at most, none that are not needed. */
export const round = (value: number): number => Number(value.toFixed(4))

/** An amount as it stands in a file. Three decimals are written as four, since 7.125 ml may be read as seven thousand elsewhere. */
export const amount = (value: number, unit: 'g' | 'ml' | '°C' | 's'): string => `${String(round(value)).replace(/\.\d{3}$/, '$&0')} ${unit}`

/** One cell of a record; nothing where there is nothing to say. */
export const given = <K extends string, V>(key: K, value: V | null | undefined): { [key in K]?: V } =>
  value === null || value === undefined || value === '' ? {} : ({ [key]: value } as { [key in K]: V })

/** A dilution in words a reader takes back. */
export const dilution = (parts: number[] | null): string => (parts === null || parts.length === 1 ? 'stock' : parts.join('+'))

/** A moment (ms), exact to the millisecond. */
export const moment = (at: number): string => new Date(at).toISOString()
