import { describe, expect, it } from 'vitest'
import type { VerdictState } from '#core/decision'
import { verdictWithout } from '#core/decision'
import {
  DAY,
  fitted,
  NIGHT,
  stripDrawing,
  svg,
  svgFile,
  svgText,
  htmlText,
  textWidth,
  wrapped,
} from '#core/svg'

/** Relative luminance and contrast of two colours (WCAG 2.2, 1.4.3; from memory). */
function contrast(a: string, b: string): number {
  const luminance = (hex: string) => {
    const [r, g, blue] = [1, 3, 5].map(at => {
      const share = Number.parseInt(hex.slice(at, at + 2), 16) / 255
      return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4
    })
    return 0.2126 * r! + 0.7152 * g! + 0.0722 * blue!
  }
  const [high, low] = [luminance(a), luminance(b)].sort((x, y) => y - x)
  return (high! + 0.05) / (low! + 0.05)
}

describe('a drawing as text', () => {
  it('keeps text as text, whatever stands in it', () => {
    const drawn = svgText(svg('text', { title: '"><script>' }, '<b>&"</b>\u0000'))
    expect(drawn).toBe('<text title="&quot;&gt;&lt;script&gt;">&lt;b&gt;&amp;&quot;&lt;/b&gt;</text>')
  })

  it('ends empty elements itself in a file, and in a page only those that never hold anything', () => {
    expect(svgText(svg('td', {}))).toBe('<td/>')
    expect(htmlText(svg('td', {}, svg('path', { d: 'M0 0' })))).toBe('<td><path d="M0 0"/></td>')
    expect(htmlText(svg('ul', {}))).toBe('<ul></ul>')
    expect(svgFile(svg('svg', {}))).toMatch(/^<\?xml .*\?>\n<svg\/>\n$/)
  })
})

describe('text that must fit', () => {
  const words =
    'Not without a filter or a change. Harmonics and spurs, 146.520 MHz, High: ×2 is outside by 7.0 dB'

  it('is wrapped into lines none of which is wider, and no word is lost', () => {
    const lines = wrapped(words, 120, { size: 9 })
    expect(lines.length).toBeGreaterThan(3)
    for (const line of lines) expect(textWidth(line, 9)).toBeLessThanOrEqual(120)
    expect(lines.join(' ')).toBe(words)
  })

  it('cuts a word that is wider than a line alone', () => {
    const lines = wrapped('W'.repeat(60), 100, { size: 10 })
    for (const line of lines) expect(textWidth(line, 10)).toBeLessThanOrEqual(100)
    expect(lines.join('')).toBe('W'.repeat(60))
  })

  it('ends with an ellipsis only where something is left out', () => {
    expect(fitted('short', 200, { size: 10 })).toBe('short')
    const cut = fitted(words, 100, { size: 10 })
    expect(cut).toMatch(/^Not without.*…$/)
    expect(textWidth(cut, 10)).toBeLessThanOrEqual(100)
  })

  it('is wider in bold, and twice as wide in twice the size', () => {
    expect(textWidth(words, 9, 700)).toBeGreaterThan(textWidth(words, 9))
    expect(textWidth(words, 18)).toBeCloseTo(2 * textWidth(words, 9), 9)
  })
})

describe('colours', () => {
  it.each([
    ['day', DAY],
    ['night', NIGHT],
  ])('every verdict can be read on its sheet by %s: at least 4.5 to 1', (_name, inks) => {
    for (const ink of [
      inks.ink,
      inks.ink2,
      inks.ink3,
      inks.inside,
      inks.close,
      inks.outside,
      inks.notCovered,
    ])
      expect(contrast(ink, inks.sheet)).toBeGreaterThan(4.5)
  })
})

describe('a strip', () => {
  const at = (state: VerdictState, margin: number) =>
    svgText(
      stripDrawing(
        { ...verdictWithout('inside', null), state, margin, marginLow: margin - 1, marginHigh: margin + 1 },
        { width: 100, height: 10, inks: DAY },
      ),
    )
  const markAt = (text: string) => Number(/<circle cx="([\d.]+)"/.exec(text)?.[1])

  it('has its limit at 64 of 100, what is inside left of it, and more inside further left', () => {
    expect(at('inside', 3)).toContain('M64 ')
    expect(markAt(at('inside', 3))).toBeLessThan(64)
    expect(markAt(at('inside', 10))).toBeLessThan(markAt(at('inside', 3)))
  })

  it('tells verdicts by shape as well as by colour', () => {
    expect(at('inside', 3)).toContain('<circle')
    expect(at('outside', -3)).not.toContain('<circle')
    expect(at('outside', -3)).toContain(DAY.outside)
    expect(at('too-close', 0.2)).toContain(DAY.close)
  })
})
