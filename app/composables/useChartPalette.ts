import { useTheme } from 'vuetify'
import { chartPalette } from '~/charts/palette'

/** The colours a drawing takes from the theme in force. */
export function useChartPalette() {
  const theme = useTheme()
  return computed(() => chartPalette(theme.current.value.colors as Record<string, string>))
}
