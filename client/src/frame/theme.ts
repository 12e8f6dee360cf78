import { useLocalStorage, usePreferredDark } from '@vueuse/core'
import { computed } from 'vue'
import { createVuetify } from 'vuetify'
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg'

/**
 * Paper and ink, iron for structure, one accent. Straw, blue and rust are the colours of heated steel and mean right,
 * tight and loose: they are used for ease and nothing else.
 */
const paper = {
  dark: false,
  colors: {
    background: '#f5f1e8',
    surface: '#f5f1e8',
    'on-background': '#24272b',
    'on-surface': '#24272b',
    primary: '#1d6355',
    'on-primary': '#ffffff',
    error: '#8c1d18',
    iron: '#5c6167',
    hairline: '#cdc6b8',
    steel: '#c6c9cb',
    straw: '#b98a1f',
    blue: '#213f7d',
    rust: '#a64425',
    skin: '#e9dfcd',
  },
}

const dark = {
  dark: true,
  colors: {
    background: '#1c1e21',
    surface: '#1c1e21',
    'on-background': '#ece6d9',
    'on-surface': '#ece6d9',
    primary: '#63b8a5',
    'on-primary': '#10211d',
    error: '#f2a49b',
    iron: '#b4b9be',
    hairline: '#43474c',
    steel: '#7d8387',
    straw: '#dfb453',
    blue: '#8eaaf0',
    rust: '#e58a68',
    skin: '#34302a',
  },
}

export const vuetify = createVuetify({
  theme: { defaultTheme: 'paper', themes: { paper, dark } },
  icons: { defaultSet: 'mdi', aliases, sets: { mdi } },
  defaults: {
    VBtn: { variant: 'flat', rounded: 'sm', minHeight: 44 },
    VTextField: { variant: 'underlined', hideDetails: 'auto', color: 'primary' },
    VTextarea: { variant: 'underlined', hideDetails: 'auto', color: 'primary' },
    VCombobox: { variant: 'underlined', hideDetails: 'auto', color: 'primary' },
    VSelect: { variant: 'underlined', hideDetails: 'auto', color: 'primary' },
  },
})

/** Light or dark, as the system has it until somebody chooses. */
export function useDark() {
  const chosen = useLocalStorage<'light' | 'dark' | ''>('iron-loop-light', '')
  const system = usePreferredDark()
  const isDark = computed(() => (chosen.value === '' ? system.value : chosen.value === 'dark'))
  return { isDark, turn: () => (chosen.value = isDark.value ? 'light' : 'dark') }
}
