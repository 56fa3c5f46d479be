import type { LinePattern } from '@selvrin/core'
import { RE2JS } from 're2js'
import { Refusal } from '../house/refusal'

const groupName = /\(\?P?<(\w+)>/g

/** A pattern on an engine whose time grows with the line and not with the pattern's guesses: no device and no setting can make it stand still. Throws where it is no pattern. */
export function linePattern(source: string): LinePattern {
  const compiled = RE2JS.compile(source)
  const names = [...source.matchAll(groupName)].map(([, name]) => name as string)
  return {
    source,
    groupsOf: (line) => {
      const matcher = compiled.matcher(line)
      if (!matcher.find()) return null
      return Object.fromEntries(names.map((name) => [name, matcher.group(name) ?? undefined]))
    },
  }
}

/** Refuses what this engine cannot run: looking back and ahead, and references to what was found. */
export function requirePattern(source: string): void {
  try {
    linePattern(source)
  } catch {
    throw new Refusal(
      422,
      'pattern',
      'This pattern cannot be run here: it looks ahead or back, or refers to what it found. Write it with plain groups.',
      { field: 'pattern' },
    )
  }
}
