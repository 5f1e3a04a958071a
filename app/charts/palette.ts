/** Colours a chart draws with, from the theme in force. */
export interface ChartPalette {
  ink: string
  ink2: string
  ink3: string
  line: string
  sheet: string
  spruce: string
  inside: string
  close: string
  outside: string
  outsideWash: string
  notCovered: string
  insideWash: string
  closeWash: string
  track: string
}

/** Picks the chart's colours out of a Vuetify theme's colour table. */
export function chartPalette(colors: Record<string, string>): ChartPalette {
  const take = (name: string) => String(colors[name] ?? '#000000')
  return {
    ink: take('ink'),
    ink2: take('ink-2'),
    ink3: take('ink-3'),
    line: take('line'),
    sheet: take('surface'),
    spruce: take('primary'),
    inside: take('inside'),
    close: take('close'),
    outside: take('outside'),
    outsideWash: take('outside-wash'),
    notCovered: take('not-covered'),
    insideWash: take('inside-wash'),
    closeWash: take('close-wash'),
    track: take('track'),
  }
}

/** Colour of a verdict. */
export function verdictColour(palette: ChartPalette, state: string): string {
  if (state === 'inside') return palette.inside
  if (state === 'too-close') return palette.close
  if (state === 'outside') return palette.outside
  return palette.notCovered
}

export const FACE = "'Atkinson Hyperlegible Next', 'Meter Signs', sans-serif"
export const FIGURES = "'Atkinson Hyperlegible Mono', 'Meter Signs', monospace"
