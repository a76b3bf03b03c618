import { defineStore } from 'pinia'
import { ref, watch } from 'vue'

/** What of the shell is open, and the theme. */
export const useShell = defineStore('shell', () => {
  const findingsOpen = ref(false)
  const dark = ref(
    localStorage.getItem('hamper.dark') === null
      ? window.matchMedia('(prefers-color-scheme: dark)').matches
      : localStorage.getItem('hamper.dark') === 'true',
  )
  watch(dark, (value) => localStorage.setItem('hamper.dark', String(value)))
  return { findingsOpen, dark }
})
