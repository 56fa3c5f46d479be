import { api } from '@selvrin/core/contract'
import { effectScope } from 'vue'
import { CallError } from '../api/call'
import type { useContractForm as UseContractForm } from './useContractForm'

jest.mock('../hand/typed', () => ({ typedIsKept: () => undefined }))
const { useContractForm } = jest.requireActual<{ useContractForm: typeof UseContractForm }>('./useContractForm')
const id = '01900000-0000-7000-8000-000000000001'
type Sent = { name: string; login: string }

// there is no page around it here, whose being there it would wait for
beforeEach(() => void jest.spyOn(console, 'warn').mockImplementation(() => undefined))

function formOf(send: (body: Sent, theirs: unknown) => Promise<unknown>) {
  const made = effectScope().run(() =>
    useContractForm(api.person.invite, { begin: () => ({ id, name: '', login: '', role: 'member' as const }), send }),
  )!
  made.form.mount()
  return made
}
const said = ({ form }: ReturnType<typeof formOf>, name: string) =>
  (form.getFieldMeta(name)?.errors as { message: string }[] | undefined)?.map((error) => error.message)

test('what the contract refuses is said under its field in its own sentence, and nothing is sent', async () => {
  const send = jest.fn(() => Promise.resolve())
  const made = formOf(send)
  made.form.setFieldValue('login', 'Not A Login')
  expect(said(made, 'name') ?? []).toEqual([])
  await made.submit()
  expect(send).not.toHaveBeenCalled()
  expect([said(made, 'name'), said(made, 'login')]).toEqual([['Write a name.'], ['Use letters, digits and . _ @ + - only.']])
  // once it was said, it goes as soon as it is right
  made.form.setFieldValue('name', 'Ada Weir')
  expect(said(made, 'name') ?? []).toEqual([])
})

test('what is right is sent as the contract reads it, and the form begins anew', async () => {
  const send = jest.fn((body: Sent) => Promise.resolve(body))
  const made = formOf(send)
  made.form.setFieldValue('name', '  Ada Weir ')
  made.form.setFieldValue('login', 'ada')
  await made.submit()
  expect(send).toHaveBeenCalledWith({ id, name: 'Ada Weir', login: 'ada', role: 'member' }, null)
  expect(made.form.state.values.name).toBe('')
})

test('what cannot be read is not taken for nothing: it is not sent', async () => {
  const send = jest.fn((body: Sent) => Promise.resolve(body))
  const made = formOf(send)
  made.form.setFieldValue('name', 'Ada Weir')
  made.form.setFieldValue('login', 'ada')
  expect(made.ready.value).toMatchObject({ name: 'Ada Weir', login: 'ada' })
  const [one, other] = [Symbol('one'), Symbol('other')]
  made.fields.unread(one, 'This is no name.')
  made.fields.unread(other, 'Nor is this.')
  made.fields.unread(other, '')
  await made.submit()
  expect(send).not.toHaveBeenCalled()
  made.fields.unread(one, '')
  await made.submit()
  expect(send).toHaveBeenCalledTimes(1)
})

test('what the server refuses is said where it belongs, and what was typed stays', async () => {
  const taken = new CallError(409, { code: 'exists', message: 'Someone has that sign-in name already.', field: 'login' })
  const made = formOf(() => Promise.reject(taken))
  made.form.setFieldValue('name', 'Ada Weir')
  made.form.setFieldValue('login', 'ada')
  await made.submit()
  expect([made.fields.refused('login'), made.fields.refused('name')]).toEqual([taken.message, ''])
  expect(made.form.state.values).toMatchObject({ name: 'Ada Weir', login: 'ada' })
})

test('a second try after someone else was first knows what they made of it', async () => {
  const theirs = { version: 7 }
  const seen: unknown[] = []
  const stale = new CallError(409, { code: 'stale', message: 'Someone changed this.', current: theirs })
  const made = formOf(
    jest.fn((_body: Sent, known?: unknown) => {
      seen.push(known)
      return seen.length === 1 ? Promise.reject(stale) : Promise.resolve()
    }),
  )
  made.form.setFieldValue('name', 'Ada Weir')
  made.form.setFieldValue('login', 'ada')
  await made.submit()
  await made.submit()
  expect(seen).toEqual([null, theirs])
})
