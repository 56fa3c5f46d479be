import type { ProcessBody } from '@selvrin/core'

type Option = ProcessBody['options'][number]

/** What schools do differently, as it is chosen: of each group one, the others on or off. */
export function optionGroups(process: ProcessBody): { groups: { id: string; name: string; options: Option[] }[]; single: Option[] } {
  const ids = [...new Set(process.options.flatMap((one) => one.group ?? []))]
  return {
    groups: ids.map((id) => ({
      id,
      name: id.charAt(0).toUpperCase() + id.slice(1).replaceAll('-', ' '),
      options: process.options.filter((one) => one.group === id),
    })),
    single: process.options.filter((one) => one.group === undefined),
  }
}
