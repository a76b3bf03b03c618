import { createApp } from 'vue'
import CrewApp from './CrewApp.vue'
import './crew.css'
import { router } from './router'

createApp(CrewApp).use(router).mount('#app')

// browsers give this to secure pages with a certificate that they trust, and to nobody else
if ('serviceWorker' in navigator && window.isSecureContext) {
  void navigator.serviceWorker.register('/sw.js').catch(() => undefined)
}
