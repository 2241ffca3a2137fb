import './app/storage-here.ts'
import '@fontsource-variable/ysabeau-office'
import './app/tokens.css'
import './app/styles.css'
import { createApp } from 'vue'
import PairingPage from './features/screen/PairingPage.vue'
import StudentsScreen from './features/screen/StudentsScreen.vue'

/** What is not the teacher's: the page on which a device is let in, and what the students see. */
createApp(location.pathname === '/pair' ? PairingPage : StudentsScreen).mount('#screen')
