import { type ChartPalette, FACE, FIGURES } from './palette'

/** Axis, tooltip and text as every drawing has them. */
export function baseOption(
  palette: ChartPalette,
  tip: (one: { value?: unknown; name?: string; seriesName?: string }) => string,
) {
  return {
    animation: false,
    textStyle: { fontFamily: FACE, color: palette.ink2 },
    tooltip: {
      trigger: 'item' as const,
      confine: true,
      backgroundColor: palette.sheet,
      borderColor: palette.line,
      textStyle: { color: palette.ink, fontFamily: FACE, fontSize: 13 },
      formatter: tip,
    },
  }
}

export function axis(
  palette: ChartPalette,
  {
    name,
    min,
    max,
    interval,
    format,
    lines = false,
  }: {
    name?: string
    min?: number
    max?: number
    interval?: number
    format?: (value: number) => string
    lines?: boolean
    side?: 'x' | 'y'
  },
) {
  return {
    type: 'value' as const,
    min,
    max,
    interval,
    name,
    nameLocation: 'end' as const,
    nameGap: 10,
    nameTextStyle: { color: palette.ink3, fontFamily: FACE, fontSize: 12 },
    axisTick: { show: false },
    axisLine: { show: !lines, onZero: false, lineStyle: { color: palette.line } },
    splitLine: { show: lines, lineStyle: { color: palette.line } },
    axisLabel: {
      color: palette.ink3,
      fontFamily: FIGURES,
      fontSize: 12,
      formatter: format,
      hideOverlap: true,
      showMinLabel: lines || undefined,
      showMaxLabel: lines || undefined,
    },
  }
}

/** A round step that cuts a range into about so many parts: 1, 2 or 5 times a power of ten. */
export function roundStep(range: number, parts: number): number {
  const raw = Math.max(1e-9, range / parts)
  const power = 10 ** Math.floor(Math.log10(raw))
  return power * ([1, 2, 5, 10].find(one => one * power >= raw * 0.999) ?? 10)
}

/** The tooltip takes HTML; names come from data. */
export function escapeHtml(text: string): string {
  return text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;')
}
