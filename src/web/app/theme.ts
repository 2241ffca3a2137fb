import { definePreset } from '@primeuix/themes'
import base from '@primeuix/themes/aura/base'
import button from '@primeuix/themes/aura/button'
import checkbox from '@primeuix/themes/aura/checkbox'
import dialog from '@primeuix/themes/aura/dialog'
import inputtext from '@primeuix/themes/aura/inputtext'
import menu from '@primeuix/themes/aura/menu'
import multiselect from '@primeuix/themes/aura/multiselect'
import progressbar from '@primeuix/themes/aura/progressbar'
import select from '@primeuix/themes/aura/select'
import selectbutton from '@primeuix/themes/aura/selectbutton'
import slider from '@primeuix/themes/aura/slider'
import textarea from '@primeuix/themes/aura/textarea'
import togglebutton from '@primeuix/themes/aura/togglebutton'

const ink = {
  50: '#edf1ec',
  100: '#dde4df',
  200: '#c6d0ca',
  300: '#9fada5',
  400: '#738079',
  500: '#33443f',
  600: '#2a3935',
  700: '#1d2a2a',
  800: '#172022',
  900: '#101718',
  950: '#0b1011',
}

/** PrimeVue's styled mode on Zovrin's tokens, with only the components that are used. */
const preset = definePreset(
  {
    ...base,
    components: {
      button,
      checkbox,
      dialog,
      inputtext,
      menu,
      multiselect,
      progressbar,
      select,
      selectbutton,
      slider,
      textarea,
      togglebutton,
    },
  },
  {
    semantic: {
      primary: ink,
      focusRing: { width: '2px', style: 'solid', color: 'var(--ink)', offset: '2px' },
      formField: { paddingX: '0.65rem', paddingY: '0.4rem', borderRadius: '8px' },
      colorScheme: {
        light: {
          surface: { 0: '#ffffff', ...ink },
          primary: { color: 'var(--ink)', contrastColor: '#ffffff', hoverColor: '#33443f', activeColor: '#33443f' },
          formField: {
            background: '#ffffff',
            borderColor: 'var(--edge)',
            hoverBorderColor: 'var(--ink)',
            focusBorderColor: 'var(--ink)',
            color: 'var(--ink)',
            placeholderColor: 'var(--ink-soft)',
            invalidBorderColor: 'var(--avoid)',
          },
          text: { color: 'var(--ink)', mutedColor: 'var(--ink-soft)' },
        },
      },
    },
  },
)

export const theme = { preset, options: { darkModeSelector: '[data-room="dark"]' } }
