/** ms before each further try */
const pausesMs = [200, 500, 1000, 2000, 4000]

/**
 * A part of the page, asked for once more where the connection broke off while it came: a press is not for nothing because the line was away for a moment.
 * @throws what the last try threw
 */
export async function again<T>(load: () => Promise<T>, pauses: readonly number[] = pausesMs): Promise<T> {
  for (const pause of pauses)
    try {
      return await load()
    } catch {
      await new Promise((resolve) => setTimeout(resolve, pause))
    }
  return load()
}
