import { audio } from '../cue/audio'
import { playTones } from '../cue/tones'

/** Something is due: heard where the browser may sound. */
export function ring(): void {
  const context = audio()
  if (context) playTones(context, context.currentTime, 'over', 'sensitizer')
}
