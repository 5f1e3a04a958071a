import type { ThemeDefinition } from 'vuetify'
import { DAY, type Inks, NIGHT } from '../../core/svg'

/** Colours that drawings of the core are made with too. */
const inksOf = (inks: Inks) => ({
  background: inks.paper,
  surface: inks.sheet,
  primary: inks.spruce,
  ink: inks.ink,
  'ink-2': inks.ink2,
  'ink-3': inks.ink3,
  line: inks.line,
  'line-2': inks.line2,
  inside: inks.inside,
  'inside-wash': inks.insideWash,
  close: inks.close,
  'close-wash': inks.closeWash,
  outside: inks.outside,
  'outside-wash': inks.outsideWash,
  'not-covered': inks.notCovered,
  'no-figure': inks.notCovered,
  observation: inks.observation,
  noise: inks.noise,
})

/**
 * The product's tokens as Vuetify themes. Every colour on a screen comes from here, through
 * `rgb(var(--v-theme-NAME))`; the six verdict colours are part of the theme so that both
 * themes keep at least 4.5:1 against paper and sheet.
 */
export const lightTheme: ThemeDefinition = {
  dark: false,
  colors: {
    ...inksOf(DAY),
    'on-primary': '#FBFDFC',
    secondary: '#17262B',
    error: '#8E2457',
    warning: '#8A5700',
    info: '#1F6F8B',
    success: '#1F6F8B',
    'on-background': '#17262B',
    'on-surface': '#17262B',
    header: '#17262B',
    'on-header': '#F2F6F4',
    'header-quiet': '#B7C4C0',
    track: '#E7E4D8',
    lamp: '#7FC4AF',
    'lamp-caution': '#E0A94A',
    'lamp-danger': '#F08AB5',
  },
}

export const darkTheme: ThemeDefinition = {
  dark: true,
  colors: {
    ...inksOf(NIGHT),
    'on-primary': '#0E1B1D',
    secondary: '#DCE6E3',
    error: '#F08AB5',
    warning: '#F0B74E',
    info: '#6FC0DA',
    success: '#6FC0DA',
    'on-background': '#E6EEEB',
    'on-surface': '#E6EEEB',
    header: '#0A1113',
    'on-header': '#F2F6F4',
    'header-quiet': '#A9B8B5',
    track: '#2F3B3C',
    lamp: '#7FC4AF',
    'lamp-caution': '#F0B74E',
    'lamp-danger': '#F08AB5',
  },
}
