/** Says plainly why it cannot go on and what to do, and stops with exit code 2. */
export function giveUp(...lines) {
  console.error(['', ...lines, ''].join('\n'))
  process.exit(2)
}

export const step = (text) => console.log(`· ${text}`)
