import { schemaSentence, type Endpoint } from '@selvrin/core/contract'
import { revalidateLogic, useForm } from '@tanstack/vue-form'
import { computed, nextTick, type Component, type Ref } from 'vue'
import { config, type z } from 'zod'
import { useAction } from '../api/useAction'

// a rule says the contract's own sentence, whoever asks it
config({ customError: schemaSentence })

/** A body while it is typed: what is not there yet is null. */
export type Typed<T> = { [K in keyof T]: T[K] | null }
type Body<E extends Endpoint> = z.input<E['body']>

/** What a field of such a form needs of it. */
export interface FieldsOf {
  Field: Component
  /** what the server has against that field */
  refused: (name: string) => string
  /** what stands in a field cannot be read, and why; '' when it can */
  unread: (field: symbol, wrong: string) => void
}

interface Asked<E extends Endpoint> {
  /** what stands in it at first, and again when it was sent */
  begin: () => Typed<Body<E>>
  /** `theirs`: what the thing was when the last try was refused because someone else had changed it */
  send: (body: z.output<E['body']>, theirs: unknown) => Promise<unknown>
  /** where one goes once it is kept: earlier, leaving would ask for what was typed */
  then?: () => unknown
}

/** The version a change is based on: that of the thing as someone else left it, where the last try was refused for it. */
export const basedOn = (thing: { version: number }, theirs: unknown): number =>
  (theirs as { version: number } | null)?.version ?? thing.version

/**
 * A form of an endpoint's body. Its rules and their sentences are the contract's: what they refuse is said under its field and nothing is sent; once that was
 * said, it is looked at again with every key. What cannot be read is not taken for nothing: it is not sent either. What the server refuses is said at the
 * same place, or below where no field of the form is meant.
 */
export function useContractForm<E extends Endpoint>(endpoint: E, { begin, send, then }: Asked<E>) {
  const { busy, problem, field, current, act } = useAction()
  const unread = new Set<symbol>()
  const form = useForm({
    defaultValues: begin() as Record<string, unknown>,
    validationLogic: revalidateLogic({ mode: 'submit', modeAfterSubmission: 'change' }),
    validators: { onDynamic: endpoint.body as z.ZodType<unknown, Record<string, unknown>> },
    onSubmit: async ({ value }) => {
      // a new try forgets the answer to the last
      const theirs = current.value
      if (!(await act(() => send(endpoint.body.parse(value) as z.output<E['body']>, theirs)))) return
      form.reset(begin() as Record<string, unknown>)
      await then?.()
    },
    onSubmitInvalid: async ({ formApi }) => {
      const refusedUnseen = Object.entries((formApi.state.errorMap.onDynamic ?? {}) as Record<string, { message: string }[]>).find(
        ([name]) => !shown(name),
      )
      problem.value = refusedUnseen?.[1][0]?.message ?? ''
      await toFirstWrong()
    },
  })
  const toFirstWrong = async (): Promise<void> => {
    await nextTick()
    if (typeof document !== 'undefined') document.querySelector<HTMLElement>('form [aria-invalid="true"]')?.focus()
  }
  const shown = (name: string): boolean => form.fieldInfo[name]?.instance != null
  const refused = (name: string): string => (field.value === name ? problem.value : '')
  /** What is said below all fields. */
  const rest = computed(() => (field.value !== '' && shown(field.value) ? '' : problem.value))
  const typed = form.useStore((state) => state.values) as unknown as Readonly<Ref<Typed<Body<E>>>>
  /** What would be sent as it stands now; null while the contract would refuse it. */
  const ready = computed(() => {
    const read = endpoint.body.safeParse(typed.value)
    return read.success ? (read.data as z.output<E['body']>) : null
  })
  const submit = async (): Promise<void> => {
    problem.value = field.value = ''
    // what cannot be read says so at its field already
    if (unread.size > 0) await toFirstWrong()
    else await form.handleSubmit()
  }
  /** The form is opened anew: nothing of the last time stays. */
  const again = (): void => {
    problem.value = field.value = ''
    current.value = null
    form.reset(begin() as Record<string, unknown>)
  }
  const fields: FieldsOf = {
    Field: form.Field as Component,
    refused,
    unread: (one, wrong) => void (wrong === '' ? unread.delete(one) : unread.add(one)),
  }
  return { form, fields, typed, ready, busy, problem, rest, current, submit, again }
}
