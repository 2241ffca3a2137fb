import './app/storage-here.ts'
import '@fontsource-variable/ysabeau-office'
import 'primeicons/primeicons.css'
import './app/tokens.css'
import './app/styles.css'
import { createPinia } from 'pinia'
import PrimeVue from 'primevue/config'
import { createApp } from 'vue'
import App from './app/App.vue'
import { registerShell } from './app/register-shell.ts'
import { router } from './app/router.ts'
import { theme } from './app/theme.ts'

createApp(App).use(createPinia()).use(router).use(PrimeVue, { theme }).mount('#app')
registerShell()
