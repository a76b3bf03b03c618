import { defineStore } from 'pinia'
import { ref } from 'vue'

/** Where the user stands in Loads; a finding takes him there. */
export const useLoads = defineStore('loads', () => {
  const view = ref<'runs' | 'power'>('runs')
  /** The run that is open, as a port key. */
  const open = ref<string>()
  /** The supply or mains circuit that is to be seen. */
  const reveal = ref<string>()
  return { view, open, reveal }
})
