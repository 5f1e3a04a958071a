import { describe, expect, it } from 'vitest'
import { parseTouchstone, renormalised, writeTouchstone } from '#core/format'
import { vswrFromReflection } from '#core/quantity'

// Touchstone File Format Specification 1.1, EIA/IBIS Open Forum, 2002, from memory. Loads are worked out here by
// Γ = (Z − R)/(Z + R), apart from the reader.

interface Load {
  r: number
  x: number
}

function gammaOf({ r, x }: Load, referenceOhm: number) {
  const size = (r + referenceOhm) ** 2 + x ** 2
  return {
    re: ((r - referenceOhm) * (r + referenceOhm) + x * x) / size,
    im: (x * (r + referenceOhm) - x * (r - referenceOhm)) / size,
  }
}

const LOADS: Load[] = [
  { r: 73, x: 42.5 },
  { r: 50, x: 0 },
  { r: 12, x: -80 },
]
const HZ = [144e6, 145e6, 146e6]

type Shape = (load: Load, referenceOhm: number) => [number, number]
const asRi: Shape = (load, r) => {
  const { re, im } = gammaOf(load, r)
  return [re, im]
}
const asMa: Shape = (load, r) => {
  const { re, im } = gammaOf(load, r)
  return [Math.hypot(re, im), (Math.atan2(im, re) * 180) / Math.PI]
}
const asDb: Shape = (load, r) => {
  const [size, angle] = asMa(load, r)
  return [20 * Math.log10(Math.max(size, 1e-12)), angle]
}
/** Version 1 writes Z over the reference, and Y times it. */
const asZ: Shape = ({ r, x }, referenceOhm) => [r / referenceOhm, x / referenceOhm]
const asY: Shape = ({ r, x }, referenceOhm) => {
  const size = r * r + x * x
  return [(r * referenceOhm) / size, (-x * referenceOhm) / size]
}

function file(head: string, shape: Shape, { ohm = 50, perUnit = 1 } = {}): string {
  const rows = LOADS.map(
    (load, i) =>
      `${HZ[i]! / perUnit} ${shape(load, ohm)
        .map(one => one.toFixed(12))
        .join(' ')}`,
  )
  return [head, ...rows].join('\n')
}

function expectLoads(text: string): void {
  const { frequenciesHz, re, im, bad } = parseTouchstone(text, 'antenna.s1p')
  expect(bad).toEqual([])
  LOADS.forEach((load, i) => {
    const truth = gammaOf(load, 50)
    expect(frequenciesHz[i]).toBeCloseTo(HZ[i]!, 3)
    expect(re[i]).toBeCloseTo(truth.re, 8)
    expect(im[i]).toBeCloseTo(truth.im, 8)
  })
}

describe('one-port files of every legal shape give the same reflection', () => {
  it.each([
    ['Hz, S, RI, 50 Ω', file('# Hz S RI R 50', asRi)],
    ['kHz, MA', file('# kHz S MA R 50', asMa, { perUnit: 1e3 })],
    ['MHz, DB', file('# MHz S DB R 50', asDb, { perUnit: 1e6 })],
    ['the defaults, no option line', file('! none', asMa, { perUnit: 1e9 })],
    ['an empty option line', file('#', asMa, { perUnit: 1e9 })],
    ['any case, any order, what is left out by default', file('# ri mhz', asRi, { perUnit: 1e6 })],
    ['75 Ω renormalised', file('# Hz S RI R 75', asRi, { ohm: 75 })],
    ['300 Ω renormalised, dB', file('# Hz S DB R 300', asDb, { ohm: 300 })],
    ['Z over the reference', file('# Hz Z RI R 50', asZ)],
    ['Z over 75 Ω', file('# Hz Z RI R 75', asZ, { ohm: 75 })],
    ['Y times the reference', file('# Hz Y RI R 50', asY)],
  ])('%s', (_what, text) => expectLoads(text))

  it('comments stand anywhere, also behind figures, and lines may end in any way', () => {
    const text = file('! an antenna\r\n#  Hz  S  RI  R 50 ! option', asRi)
      .split('\n')
      .map((line, i) => (i > 0 ? `  ${line} ! point ${i}` : line))
      .join('\r\n\r\n! between\r\n')
    expectLoads(text)
  })

  it('of two ports the first one’s reflection is taken, and said', () => {
    const rows = LOADS.map((load, i) => `${HZ[i]} ${asRi(load, 50).join(' ')} 0.1 0 0.1 0 0.5 0.5`)
    const sweep = parseTouchstone(['# Hz S RI R 50', ...rows].join('\n'), 'two.s2p')
    expect(sweep.re[0]).toBeCloseTo(gammaOf(LOADS[0]!, 50).re, 9)
    expect(sweep.understood.join(' ')).toContain('of two ports')
  })
})

describe('what cannot be read', () => {
  it('is counted, and named by its number in the file; the rest counts', () => {
    const text = [
      '! head',
      '# MHz S RI R 50',
      '144 0.1 0',
      '145 0.1',
      '146 0.1 zero',
      '143 0.1 0',
      '147 0.2 0',
      '# GHz S MA R 50',
      '148 0.3 0 ! fine',
    ].join('\n')
    const sweep = parseTouchstone(text, 'a.s1p')
    expect([...sweep.frequenciesHz]).toEqual([144e6, 147e6, 148e6])
    expect(sweep.bad.map(({ line }) => line)).toEqual([4, 5, 6, 8])
    expect(sweep.understood.join(' ')).toContain('4 lines passed over: line 4 (2 numbers')
    expect(sweep.understood.join(' ')).toContain('line 6 (the frequency does not rise)')
  })

  it.each([
    ['nothing', '', 'it is empty'],
    ['version 2', '[Version] 2.0\n# Hz S RI R 50\n1 0 0', 'version 2'],
    ['an unknown option', '# Hz H RI R 50\n1 0 0', 'its option line says “h”'],
    ['no resistance', '# Hz S RI R zero\n1 0 0', 'no resistance'],
    ['a negative reference', '# Hz S RI R -50\n1 0 0', 'no resistance'],
    ['no points', '# Hz S RI R 50\n! nothing', 'no line with a frequency'],
    ['a web page', '<html>', 'web page'],
  ])('%s is refused in plain words', (_what, text, words) => {
    expect(() => parseTouchstone(text, 'a.s1p')).toThrow(words)
  })

  it('asks where more comes back than was sent', () => {
    const say = (size: number) =>
      parseTouchstone(`# Hz S RI R 50\n1e6 ${size} 0`, 'a.s1p').understood.join(' ')
    expect(say(1.03)).toContain('was the analyser calibrated?')
    expect(say(1.01)).not.toContain('calibrated')
  })
})

describe('matches (closed forms)', () => {
  it('75 Ω is 1.5:1 from 50 Ω, whatever it is counted from', () => {
    for (const ohm of [25, 50, 75, 100, 300]) {
      const seen = (75 - ohm) / (75 + ohm)
      const { re, im } = renormalised({ re: seen, im: 0 }, ohm)
      expect(vswrFromReflection(Math.hypot(re, im))).toBeCloseTo(1.5, 9)
    }
  })

  it('a half-wave dipole, 73 + j42.5 Ω, is 2.18:1 (C. A. Balanis, Antenna Theory, for the impedance, from memory)', () => {
    const { re, im } = gammaOf({ r: 73, x: 42.5 }, 50)
    expect(vswrFromReflection(Math.hypot(re, im))).toBeCloseTo(2.181, 3)
  })

  it('what was typed goes out and comes back', () => {
    const text = writeTouchstone(
      [
        { frequencyHz: 146e6, reflection: 0.2 },
        { frequencyHz: 144e6, reflection: 1 / 3 },
      ],
      ['Trek 2,\nsupplied antenna'],
    )
    const { frequenciesHz, re, bad } = parseTouchstone(text, 'out.s1p')
    expect(bad).toEqual([])
    expect([...frequenciesHz]).toEqual([144e6, 146e6])
    expect(re[0]).toBeCloseTo(1 / 3, 6)
    expect(text).toContain('its angle is written as 0')
    expect(text.split('\n')[0]).toBe('! Trek 2, supplied antenna')
  })
})
