import { proxy } from 'comlink'

/**
 * Asks a worker for something that tells how far it is meanwhile. What it tells goes another way than its answer and may come behind it:
 * it is heard only until the answer is there, so that nothing looks as if it still went on.
 */
export async function whileAsked<Tell extends (...parts: never[]) => void, Answer>(
  told: Tell,
  ask: (tell: Tell) => Promise<Answer>,
): Promise<Answer> {
  let isThere = false
  try {
    return await ask(proxy(((...parts) => (isThere ? undefined : told(...parts))) as Tell))
  } finally {
    isThere = true
  }
}
