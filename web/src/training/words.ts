import { loadingStages, type LoadingStage, type TaskStanding } from '@selvrin/core'

/** How somebody stands with a task: a sign and words, never a colour alone. */
export const stateWords: Record<TaskStanding['state'], { sign: string; says: string }> = {
  may: { sign: '✓', says: '' },
  soon: { sign: '▲', says: 'ends soon:' },
  partly: { sign: '▽', says: 'not yet in the dark:' },
  ended: { sign: '✕', says: 'has ended' },
  revoked: { sign: '✕', says: 'was taken away' },
  never: { sign: '–', says: 'not shown yet' },
}
export const stageWords: Record<LoadingStage, string> = { light: 'in the light', 'eyes-shut': 'with eyes shut', dark: 'in the dark' }
export const stageChoices = loadingStages.map((value) => ({ value, name: stageWords[value] }))
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)
