import { z } from 'zod'
import { done, id, idParams } from '../shape/common'
import { loadingStages, trainingBody, trainingTasks } from '../training/task'
import { endpoint } from './endpoint'

const task = z.enum(trainingTasks)
const standing = z.object({
  task,
  state: z.enum(['may', 'soon', 'partly', 'ended', 'revoked', 'never']),
  endsAt: z.number().nullable(),
  stage: z.enum(loadingStages).nullable(),
})
const line = z.object({
  ...{ id, kind: z.enum(['given', 'revoked', 'present']), tasks: z.array(task), at: z.number(), by: z.string() },
  ...{ stage: z.enum(loadingStages).nullable(), shown: z.string(), outside: z.string(), practised: z.boolean() },
  /** ms; of a technician who stood in */
  until: z.number().nullable(),
})
const practised = z.object({
  ...{ practiceId: id, at: z.number(), name: z.string(), task, stage: z.enum(loadingStages).nullable() },
})

export const trainingApi = {
  page: endpoint('GET', '/api/trainings', 'technician', 'What ends soon or has ended, of everybody', {
    response: z.object({
      rows: z.array(z.object({ personId: id, person: z.string(), standing })),
      /** how many rows there are beyond those that are told */
      more: z.number(),
    }),
  }),
  person: endpoint(
    'GET',
    '/api/trainings/:id',
    'member',
    'What somebody may do alone until when, what they lack, and how they came to it',
    {
      params: idParams,
      response: z.object({
        ...{ person: z.string(), role: z.enum(['technician', 'member']), standings: z.array(standing) },
        /** the newest first, as many as anybody looks at */
        lines: z.array(line),
        /** practices with nothing wrong that a technician may count, and has not yet */
        practised: z.array(practised),
      }),
    },
  ),
  give: endpoint('POST', '/api/trainings', 'technician', 'Somebody was shown a task', {
    body: z.strictObject({
      ...{ id, personId: id, body: trainingBody },
      /** a practice with nothing wrong that counts as it */
      practiceId: id.nullable().default(null),
    }),
    response: done,
  }),
  revoke: endpoint('POST', '/api/trainings/revoke', 'technician', 'A task is taken away from somebody, at once', {
    body: z.strictObject({ id, personId: id, task, why: z.string().trim().max(500) }),
    response: done,
  }),
  present: endpoint('POST', '/api/trainings/presence', 'member', 'A technician who is present stands in for what somebody lacks', {
    body: z.strictObject({
      ...{ id, personId: id, tasks: z.array(task).min(1).max(trainingTasks.length) },
      /** which technician, where it is not whoever is signed in */
      login: z.string().trim().max(40).optional(),
      password: z.string().max(200).optional(),
    }),
    password: true,
    response: done,
  }),
  ask: endpoint('POST', '/api/trainings/ask', 'member', 'Whether whoever asks may do tasks alone, or with a technician beside them', {
    body: z.strictObject({ tasks: z.array(task).min(1).max(trainingTasks.length) }),
    response: done,
  }),
}
export type TrainingPage = z.infer<typeof trainingApi.person.response>
export type TrainingLine = TrainingPage['lines'][number]
