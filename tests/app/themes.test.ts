import { describe, expect, it } from 'vitest'
import { darkTheme, lightTheme } from '~/theme/themes'

// WCAG 2.1, relative luminance and contrast ratio (from memory): text wants at least 4.5:1.
function luminance(hex: string): number {
  const [r = 0, g = 0, b = 0] = [1, 3, 5]
    .map(at => Number.parseInt(hex.slice(at, at + 2), 16) / 255)
    .map(c => (c <= 0.03928 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4))
  return 0.2126 * r + 0.7152 * g + 0.0722 * b
}

function contrast(one: string, two: string): number {
  const [high = 0, low = 0] = [luminance(one), luminance(two)].sort((a, b) => b - a)
  return (high + 0.05) / (low + 0.05)
}

const TEXT = [
  'ink',
  'ink-2',
  'ink-3',
  'primary',
  'inside',
  'close',
  'outside',
  'not-covered',
  'no-figure',
  'observation',
  'error',
]

describe.each([
  ['day', lightTheme],
  ['night', darkTheme],
] as const)('the %s theme', (_name, theme) => {
  const colours = theme.colors as Record<string, string>

  it.each(TEXT)('%s stands out at least 4.5:1 from paper and sheet', name => {
    expect(contrast(colours[name]!, colours.background!)).toBeGreaterThanOrEqual(4.5)
    expect(contrast(colours[name]!, colours.surface!)).toBeGreaterThanOrEqual(4.5)
  })

  it('keeps the header legible', () => {
    for (const name of ['on-header', 'header-quiet', 'lamp-danger'])
      expect(contrast(colours[name]!, colours.header!)).toBeGreaterThanOrEqual(4.5)
  })

  it('names the same colours as the other theme', () =>
    expect(Object.keys(colours).sort()).toEqual(Object.keys(lightTheme.colors!).sort()))
})

describe('the ratio itself', () => {
  it('is 21 for black on white', () => expect(contrast('#000000', '#FFFFFF')).toBeCloseTo(21, 9))
})
