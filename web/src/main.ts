import { createPinia } from 'pinia'
import { createApp } from 'vue'
import { config } from 'zod'
import App from './App.vue'
import { keepLight } from './light/light'
import { makeRouter } from './router'
import './styles/main.css'

// the page's security policy allows no code made from text, which zod would try for speed
config({ jitless: true })
keepLight()
// so that what the page is made of is still known after a day of asking the server
performance.setResourceTimingBufferSize(4000)
const app = createApp(App)
app.use(createPinia())
app.use(makeRouter())
app.mount('#app')
