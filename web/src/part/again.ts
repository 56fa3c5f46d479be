/** ms before each further try */
const pausesMs = [200, 500, 1000, 2000, 4000]

/** The file a browser says it could not fetch; undefined where it does not say, or where it is not ours. */
export function fileIn(error: unknown, origin: string): string | undefined {
  const [url] = /https?:\/\/\S+?\.js(?=$|[?\s])/.exec(String((error as { message?: unknown } | null)?.message)) ?? []
  return url?.startsWith(`${origin}/`) ? url : undefined
}
const fetched = (url: string): Promise<unknown> => import(/* @vite-ignore */ url)

/**
 * A part of the page, asked for once more where the connection broke off while it came: a press is not for nothing because the line was away for a moment. Browsers may
 * keep it that a file did not come, and ask no server for it again: the next try is by another name of the same file.
 * @throws what the last try threw
 */
export async function again<T>(
  load: () => Promise<T>,
  {
    pauses = pausesMs,
    bring = fetched,
    origin = globalThis.location?.origin ?? '',
  }: { pauses?: readonly number[]; bring?: typeof fetched; origin?: string } = {},
): Promise<T> {
  let next = load
  for (const [i, pause] of pauses.entries())
    try {
      return await next()
    } catch (error) {
      const file = fileIn(error, origin)
      if (file !== undefined) next = () => bring(`${file}?again=${i + 1}`) as Promise<T>
      await new Promise((resolve) => setTimeout(resolve, pause))
    }
  return next()
}
