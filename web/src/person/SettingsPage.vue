<script setup lang="ts">
import { ref } from 'vue'
import MyCalendars from '../calendar/MyCalendars.vue'
import MyMail from '../mail/MyMail.vue'
import { useTyped } from '../hand/typed'
import { useSession } from '../session/store'
import DarkroomSettings from './DarkroomSettings.vue'
import MySettings from './MySettings.vue'
import PasswordForm from './PasswordForm.vue'

const session = useSession()
const typing = useTyped()
const kept = ref('')
function say(what: string): void {
  typing.kept()
  kept.value = what
}
</script>

<template>
  <div class="station max-w-4xl">
    <h1 class="mb-5 text-3xl font-bold">Settings</h1>
    <p v-if="kept" role="status" class="mb-4 text-lg font-semibold">{{ kept }}</p>
    <div class="grid grid-cols-2 gap-10 max-md:grid-cols-1" @submit.capture="kept = ''">
      <div>
        <MySettings @kept="say('Your settings are kept.')" />
        <MyMail class="mt-8" @kept="say('Where you are written to is kept.')" />
        <MyCalendars class="my-8" />
        <section class="mb-8" aria-labelledby="training">
          <h2 id="training" class="mb-2 text-2xl font-bold">Training</h2>
          <p class="mb-3">What you were shown, and may do without a technician beside you.</p>
          <RouterLink to="/training" class="button">What I may do</RouterLink>
        </section>
        <section class="mb-8" aria-labelledby="exposures">
          <h2 id="exposures" class="mb-2 text-2xl font-bold">Exposure notes</h2>
          <p class="mb-3">A rash, a cough, a splash: written down for yourself, seen by nobody who is not named to.</p>
          <RouterLink to="/exposures" class="button">My exposure notes</RouterLink>
        </section>
        <PasswordForm @kept="say('Your password is changed. Everywhere else you are signed out.')" />
      </div>
      <DarkroomSettings
        v-if="session.isTechnician && session.darkroom"
        :darkroom="session.darkroom"
        @kept="say('The darkroom’s settings are kept.')"
      />
    </div>
  </div>
</template>
