import 'vuetify/styles'
import { createVuetify } from 'vuetify'
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg'

const shared = { copper: '#a8531f' }

/** Quiet warm neutrals and one copper accent, light and dark. */
export const vuetify = createVuetify({
  icons: { defaultSet: 'mdi', aliases, sets: { mdi } },
  theme: {
    defaultTheme: 'light',
    themes: {
      light: {
        dark: false,
        colors: {
          background: '#f4f1ea',
          surface: '#fbf9f4',
          'surface-variant': '#ebe6da',
          'on-surface-variant': '#2b2a27',
          primary: shared.copper,
          secondary: '#5d5849',
          error: '#a3262a',
          warning: '#875a00',
          info: '#2f5f87',
          success: '#2f6245',
        },
      },
      dark: {
        dark: true,
        colors: {
          background: '#1d1c1a',
          surface: '#262421',
          'surface-variant': '#34312c',
          'on-surface-variant': '#ece7dc',
          primary: '#e29a64',
          secondary: '#b8b0a0',
          error: '#f08a84',
          warning: '#e2b357',
          info: '#8fbce0',
          success: '#86c29c',
        },
      },
    },
  },
  defaults: {
    VBtn: { variant: 'text', rounded: 'md', ripple: false },
    VTextField: { density: 'compact', variant: 'outlined', hideDetails: 'auto' },
    VTooltip: { openDelay: 400 },
  },
})
