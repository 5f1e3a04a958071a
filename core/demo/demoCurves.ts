import besselj0 from '@stdlib/math-base-special-besselj0'
import type { CurvePoints } from '../review'

/** A tone for four seconds, then a voice that reaches its loudest a few times. */
export function deviationOverTime(toneHz: number, loudestHz: number): CurvePoints {
  const x = Float64Array.from({ length: 400 }, (_unused, i) => i / 40)
  const size = x.map(t => {
    if (t < 4) return toneHz * (1 - 0.004 * Math.sin(9 * t))
    const syllable =
      Math.max(0, Math.sin(2 * Math.PI * 1.7 * t)) * (0.55 + 0.45 * Math.abs(Math.sin(2.3 * t)))
    return Math.min(loudestHz, 90 + 1.12 * loudestHz * syllable)
  })
  return { x, y: size, y2: size.map(value => -0.97 * value) }
}

/**
 * A voice-modulated carrier and what it leaves beside its channel, dB of full scale over offset from the
 * carrier, Hz.
 */
export function modulatedSpectrum(
  _carrierHz: number,
  adjacent: { lowerDbc: number; upperDbc: number },
): CurvePoints {
  const x = Float64Array.from({ length: 961 }, (_unused, i) => -48_000 + 100 * i)
  const y = x.map((hz, i) => {
    const grain = 2.4 * Math.sin(12.9898 * i) * Math.sin(4.1414 * i)
    const far =
      (hz < 0 ? adjacent.lowerDbc : adjacent.upperDbc) - 24 - Math.max(0, (Math.abs(hz) - 12_500) / 1400)
    const body =
      -24 - 20 * Math.log10(1 / Math.max(0.06, Math.abs(besselj0(hz / 2600)))) - (Math.abs(hz) / 3100) ** 2.3
    return 10 * Math.log10(10 ** (Math.max(-180, body) / 10) + 10 ** (Math.max(-112, far) / 10)) + grain
  })
  return { x, y, y2: new Float64Array(0) }
}

/** Two tones and their odd products. */
export function twoToneSpectrum(_carrierHz: number): CurvePoints {
  const x = Float64Array.from({ length: 1601 }, (_unused, i) => -4000 + 6 * i)
  const lines: [number, number][] = [
    [700, -12],
    [1900, -12.2],
    [-500, -39.5],
    [3100, -41],
    [-1700, -50.7],
    [4300, -52.4],
    [-2900, -57.2],
    [5500, -59.9],
  ]
  const y = x.map((hz, i) =>
    Math.max(
      -104 + 3 * Math.sin(7.1 * i) * Math.sin(2.7 * i),
      ...lines.map(([at, level]) => level - ((hz - at) / 7) ** 2 * 0.9),
    ),
  )
  return { x, y, y2: new Float64Array(0) }
}
