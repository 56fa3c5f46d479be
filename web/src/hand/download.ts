/** Hands a text over as a file of that name. */
export function download(name: string, text: string, type: 'application/json' | 'text/csv'): void {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(new Blob([text], { type }))
  link.download = name
  link.click()
  URL.revokeObjectURL(link.href)
}
