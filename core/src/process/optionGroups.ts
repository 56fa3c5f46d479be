import type { ProcessBody, ProcessOption } from './process'

/**
 * What schools do differently, as it is chosen: of each group one, the others on or off.
 * @example
 * optionGroups(houseProcesses[0]).groups.map((group) => group.name) // → ['Stop', 'Fixing', 'Washing']
 */
export function optionGroups(process: ProcessBody): {
  groups: { id: string; name: string; options: ProcessOption[] }[]
  single: ProcessOption[]
} {
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
