import { type Inks, INKS } from '#core/svg'

/** The colours of the theme in force, for drawings of the core. */
export function useInks() {
  const ui = useUiStore()
  return computed<Inks>(() => INKS[ui.themeName])
}
