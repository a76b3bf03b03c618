import pluginVue from 'eslint-plugin-vue'
import { defineConfigWithVueTs, vueTsConfigs } from '@vue/eslint-config-typescript'
import skipFormatting from '@vue/eslint-config-prettier/skip-formatting'

/** Folders of src, and what each of them may not know: knowledge goes one way only. */
const KNOWS_NOT = {
  api: ['parts', 'state', 'ribbon', 'shell', 'places'],
  parts: ['state', 'ribbon', 'shell', 'places'],
  state: ['parts', 'ribbon', 'shell', 'places'],
  ribbon: ['shell', 'places'],
  shell: ['ribbon', 'places'],
  crew: ['state', 'ribbon', 'shell', 'places'],
}
const oneWay = Object.entries(KNOWS_NOT).map(([folder, above]) => ({
  files: [`src/${folder}/**`],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          {
            group: above.map((one) => `**/${one}/**`),
            message: `${folder} does not know ${above.join(', ')}: see CONTRIBUTING, Layout`,
          },
        ],
      },
    ],
  },
}))

export default defineConfigWithVueTs(
  { ignores: ['dist/**', 'dist-crew/**', 'target/**', 'src/api/generated/**'] },
  pluginVue.configs['flat/recommended'],
  vueTsConfigs.recommended,
  ...oneWay,
  skipFormatting,
)
