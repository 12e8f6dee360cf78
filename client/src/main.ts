import '@fontsource/barlow-semi-condensed/latin-400.css'
import '@fontsource/barlow-semi-condensed/latin-600.css'
import '@fontsource-variable/red-hat-mono'
import 'vuetify/styles/core'
import './frame/paper.css'
import { VueQueryPlugin } from '@tanstack/vue-query'
import { createApp } from 'vue'
import App from './App.vue'
import { onceWhileHeld } from './controls/heldKeys'
import { router } from './router'
import { vuetify } from './frame/theme'

// The shell opens without the server; what it says then is that there is no connection.
if (import.meta.env.PROD && 'serviceWorker' in navigator)
  window.addEventListener(
    'load',
    () => void navigator.serviceWorker.register('/worker.js').catch(() => undefined),
  )
window.addEventListener('keydown', onceWhileHeld, true)
createApp(App)
  .use(router)
  .use(vuetify)
  .use(VueQueryPlugin, { queryClientConfig: { defaultOptions: { queries: { retry: 1, staleTime: 2_000 } } } })
  .mount('#app')
