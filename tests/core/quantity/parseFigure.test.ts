import { describe, expect, it } from 'vitest'
import { parseFigure, printFigure, printHz, printMarginIn } from '#core/quantity'

const plain = (text: string) => text.replaceAll('\u00a0', ' ')

describe('figures as people type them', () => {
  it.each([
    ['2.38', { unit: 'Hz', bareScale: 1000 }, 2380, 10],
    ['2,38 kHz', { unit: 'Hz' }, 2380, 10],
    ['2380', { unit: 'Hz' }, 2380, 1],
    ['2.4k', { unit: 'Hz' }, 2400, 100],
    ['13.8', { unit: 'V' }, 13.8, 0.1],
    ['4900 mA', { unit: 'A' }, 4.9, 0.001],
    ['−60.2 dBc', { unit: 'dB' }, -60.2, 0.1],
    ['41 °C', { unit: '°C' }, 41, 1],
    ['-20.9', { unit: 'dBm' }, -20.9, 0.1],
    ['146.519836', { unit: 'Hz', bareScale: 1e6, aroundHz: 146.52e6 }, 146_519_836, 1],
    ['+120 Hz', { unit: 'Hz', bareScale: 1e6, aroundHz: 146.52e6 }, 146_520_120, 1],
    ['−0.5 ppm', { unit: 'Hz', bareScale: 1e6, aroundHz: 146.52e6 }, 146_519_926.74, 14.652],
    ['-310', { unit: 'Hz', bareScale: 1e6, aroundHz: 146.52e6 }, 146_519_690, 1],
  ] as const)('%s', (text, options, value, resolution) => {
    const read = parseFigure(text, options)
    expect(read).toMatchObject({
      ok: true,
      value: expect.closeTo(value, 2) as number,
      resolution: expect.closeTo(resolution, 6) as number,
      isUpperBound: false,
    })
  })

  it('knows bounds, refuses foreign units, what lies outside, and the ambiguous', () => {
    expect(parseFigure('<-62', { unit: 'dB' })).toMatchObject({ ok: true, value: -62, isUpperBound: true })
    expect(parseFigure('3 V', { unit: 'Hz' })).toMatchObject({
      ok: false,
      message: expect.stringContaining('not a unit') as string,
    })
    expect(parseFigure('ten', { unit: 'Hz' })).toMatchObject({ ok: false })
    expect(parseFigure('900', { unit: 'V', max: 100 })).toMatchObject({
      ok: false,
      message: expect.stringContaining('between') as string,
    })
    expect(parseFigure('1,234', { unit: 'Hz' })).toMatchObject({ ok: false, offers: ['1.234', '1234'] })
    expect(parseFigure('5 ppm', { unit: 'Hz' })).toMatchObject({ ok: false })
  })

  it('prints them in their own units', () => {
    expect(
      [
        printFigure(2380, 'Hz'),
        printFigure(146_519_836, 'Hz'),
        printFigure(-60.2, 'dB'),
        printFigure(13.8, 'V'),
        printFigure(41, '°C'),
        printFigure(1, 'mark'),
        printFigure(0, 'mark'),
      ].map(plain),
    ).toEqual(['2.380 kHz', '146.519836 MHz', '−60.2 dB', '13.80 V', '41 °C', 'done', 'not done'])
    expect(
      [printHz(310), printHz(2345), printHz(12_500), printHz(1.5e6), printHz(null), printHz(-21.3)].map(
        plain,
      ),
    ).toEqual(['310 Hz', '2.35 kHz', '12.5 kHz', '1.50 MHz', '–', '−21.3 Hz'])
    expect(
      [printMarginIn(130, 'Hz'), printMarginIn(0.31, 'V'), printMarginIn(12.34, '°C')].map(plain),
    ).toEqual(['130 Hz', '0.31 V', '12.3 °C'])
  })
})
