/** Whether every word that was typed is in a text, whatever the case and the accents. */
export function matches(text: string, typed: string): boolean {
  const plain = (one: string) => one.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase()
  const all = plain(text)
  return plain(typed)
    .split(/\s+/)
    .filter(Boolean)
    .every((word) => all.includes(word))
}
