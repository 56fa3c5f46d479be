// For whoever changes a look: every field, mark, vessel and panel in its states, in three lights side by side. Part of no build.
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import { createRouter, createMemoryHistory } from 'vue-router'
import { dim, light } from '../src/light/light'
import '../src/styles/main.css'
import AllRooms from './AllRooms.vue'
import OneLight from './OneLight.vue'

const asked = new URLSearchParams(location.search)
const lit = asked.get('light')
if (lit) {
  light.value = lit === 'white' ? 'white' : 'safelight'
  document.documentElement.dataset.light = light.value
  dim.value = lit === 'dimmed' ? 0.4 : 0
}
const app = createApp(lit ? OneLight : AllRooms, lit ? { room: asked.get('room') ?? 'fields' } : {})
app.use(createPinia())
// links are drawn, and lead nowhere
app.use(createRouter({ history: createMemoryHistory(), routes: [{ path: '/:rest(.*)*', component: { render: () => null } }] }))
app.mount('#app')
