import { api, type Darkroom, type Session } from '@selvrin/core/contract'
import { inManner, type Units } from '@selvrin/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watchEffect } from 'vue'
import { call, onSignedOut, onTelling } from '../api/call'
import { closeLive, onChange, openLive } from '../api/live'
import { runIsOn, setByServer } from '../clock'
import { forgetKept } from '../hand/useKept'
import { endingsWait } from '../api/waiting'
import { manner } from './manner'

export const useSession = defineStore('session', () => {
  const session = shallowRef<Session | null>(null)
  const darkroom = shallowRef<Darkroom | null>(null)
  const ended = ref(false)
  const person = computed(() => session.value?.person ?? null)
  const isTechnician = computed(() => person.value?.role === 'technician')
  const units = computed<Units>(() => person.value?.units ?? 'metric')

  watchEffect(() => (manner.value = { units: units.value, decimal: person.value?.decimal ?? 'point' }), { flush: 'sync' })

  async function take(answer: Session): Promise<void> {
    session.value = answer
    setByServer(answer.now)
    if (answer.person === null) return
    ended.value = false
    darkroom.value = await call(api.darkroom.get)
    openLive(answer.person.id)
  }
  /** Asks who is signed in. While a run is on and the server does not answer, it is who was. */
  async function load(): Promise<void> {
    try {
      await take(await call(api.session.get))
    } catch (error) {
      if (!runIsOn() && !endingsWait()) throw error
      ;(await import('./remembered')).goOnAsBefore(error, { session, darkroom, ended, take })
    }
  }
  const signIn = async (login: string, password: string): Promise<void> =>
    take(await call(api.session.signIn, { body: { login, password } }))
  const useCode = async (login: string, code: string, password: string): Promise<void> =>
    take(await call(api.session.useCode, { body: { login, code, password } }))
  const makeFirst = async (code: string, name: string, login: string, password: string): Promise<void> =>
    take(await call(api.session.first, { body: { code, name, login, password } }))

  async function signOut(): Promise<void> {
    closeLive()
    forgetKept()
    await call(api.session.signOut).catch(() => undefined)
    // a fresh page holds nothing of the person who left
    location.assign('/sign-in')
  }
  onTelling((text) => inManner(text, manner.value))
  onSignedOut(() => {
    if (session.value?.person) ended.value = true
  })
  onChange(async (event) => {
    if (event !== 'all' && event.subject === 'darkroom') darkroom.value = await call(api.darkroom.get)
  })
  return { session, darkroom, ended, person, isTechnician, units, manner, load, signIn, useCode, makeFirst, signOut }
})
