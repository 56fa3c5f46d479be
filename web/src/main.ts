import { createPinia } from 'pinia'
import { createApp } from 'vue'
import App from './App.vue'
import { keepLight } from './room/light'
import { makeRouter } from './router'
import './styles/main.css'

keepLight()
const app = createApp(App)
app.use(createPinia())
app.use(makeRouter())
app.mount('#app')
