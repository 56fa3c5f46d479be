/** Where each sound lies, by its name: kept with the source, made by scripts/voice.mjs. */
export const voiceFiles: Record<string, string> = Object.fromEntries(
  Object.entries(import.meta.glob<string>('./voice/*.mp3', { eager: true, query: '?url&no-inline', import: 'default' })).map(
    ([path, url]) => [path.slice('./voice/'.length, -'.mp3'.length), url],
  ),
)
