import { describe, expect, it } from 'vitest'
import { figureWords, type FigureUnit } from '#core/quantity'
import { plain } from '../../support/results'

describe('a figure as its table shows it', () => {
  it.each<[number, FigureUnit, string]>([
    [13.6, 'V', '13.60 V'],
    [0.0071, 'V', '7.10 mV'],
    [0.0995, 'V', '0.10 V'],
    [0.0994, 'V', '99.4 mV'],
    [0.045, 'A', '45.0 mA'],
    [4.9, 'A', '4.90 A'],
    [1.5, 'VSWR', '1.50:1'],
    [8, 'Ω', '8.00 Ω'],
    [13.087, 'h', '13.1 h'],
    [92, 'g', '92.0 g'],
    [2, 'of 3', '2 of 3'],
    [1, 'bars', '1 bar'],
    [4.5, 'bars', '4.5 bars'],
    [1, 'mark', 'done'],
    [0, 'mark', 'not done'],
    [1, 'words', ''],
    [1.656, 'Ah', '1.66 Ah'],
    [-60.2, 'dBm', '−60.2 dBm'],
    [21.4, '°C', '21 °C'],
  ])('%d %s is %s', (value, unit, words) => {
    expect(plain(figureWords(value, unit))).toBe(words)
  })
})
