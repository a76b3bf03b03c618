import vue from '@vitejs/plugin-vue'
import { defineConfig, type Plugin } from 'vite'

/** Tells the service worker which files make the pages; another build is another name. */
function shell(): Plugin {
  return {
    name: 'crew-shell',
    generateBundle(_, bundle) {
      const worker = Object.values(bundle).find((one) => one.fileName === 'sw.js')
      if (worker?.type !== 'chunk') {
        throw new Error('no service worker was built')
      }
      const files = Object.keys(bundle)
        .filter((name) => name.startsWith('assets/'))
        .map((name) => `/${name}`)
        .sort()
      // their names change with what is in them
      const build = files.map((name) => name.replace(/^.*-(?=[^-]+$)/, '')).join('+')
      worker.code = worker.code
        .replace(/["'`]__FILES__["'`]/, JSON.stringify(files))
        .replace('__BUILD__', build)
    },
  }
}

/** The crew's pages: a build of their own, small enough for a slow phone in the yard. */
export default defineConfig({
  root: 'crew',
  plugins: [vue(), shell()],
  // nothing here is written with them: the smaller the sooner
  define: { __VUE_OPTIONS_API__: 'false', __VUE_PROD_DEVTOOLS__: 'false' },
  build: {
    outDir: '../dist-crew',
    emptyOutDir: true,
    rolldownOptions: {
      input: { index: 'crew/index.html', sw: 'src/crew/sw.ts' },
      output: {
        entryFileNames: (chunk) => (chunk.name === 'sw' ? 'sw.js' : 'assets/[name]-[hash].js'),
      },
    },
  },
})
