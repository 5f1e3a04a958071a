import { chainPath, type Chain, type Instrument, partHalfWidthDb, partLossAt } from '../chain'
import { reflectionFromVswr } from '../quantity'

/** A complex number. */
interface Complex {
  re: number
  im: number
}

/** A two-port by its scattering parameters. */
interface TwoPort {
  s11: Complex
  s12: Complex
  s21: Complex
  s22: Complex
}

const ONE: Complex = { re: 1, im: 0 }
const ZERO: Complex = { re: 0, im: 0 }
const add = (a: Complex, b: Complex): Complex => ({ re: a.re + b.re, im: a.im + b.im })
const minus = (a: Complex, b: Complex): Complex => ({ re: a.re - b.re, im: a.im - b.im })
const times = (a: Complex, b: Complex): Complex => ({
  re: a.re * b.re - a.im * b.im,
  im: a.re * b.im + a.im * b.re,
})
const over = (a: Complex, b: Complex): Complex => {
  const size = b.re * b.re + b.im * b.im
  return { re: (a.re * b.re + a.im * b.im) / size, im: (a.im * b.re - a.re * b.im) / size }
}

const polar = (size: number, angle: number): Complex => ({
  re: size * Math.cos(angle),
  im: size * Math.sin(angle),
})

/** The errors of a chain’s parts, drawn once for a bench: what each really loses beside what is stated. */
export type PartErrors = ReadonlyMap<string, { levelDb: number; flatnessDb: () => number }>

/**
 * Draws what each part of a chain is off by, from what is stated of it. The level error is the same at every
 * frequency.
 */
export function drawPartErrors(
  chain: Chain,
  instrument: Instrument,
  frequencyHz: number,
  random: () => number,
): PartErrors {
  return new Map(
    chainPath(chain, instrument).before.map(part => {
      const { distribution, flatnessDb } = part.lossUncertainty
      const half = partHalfWidthDb(part, frequencyHz)
      const uniform = (width: number) => width * (2 * random() - 1)
      if (distribution === 'normal')
        return [part.id, { levelDb: 0, flatnessDb: () => (half / 2) * gaussian(random) }]
      const flat = flatnessDb === null ? half : Math.min(flatnessDb, half)
      return [part.id, { levelDb: uniform(half - flat), flatnessDb: () => uniform(flat) }]
    }),
  )
}

/** A standard normal draw. */
export function gaussian(random: () => number): number {
  return Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
}

/**
 * Level that really arrives at an instrument, dBm: the whole row of parts as scattering matrices with their
 * true losses, every port reflecting as stated and at a phase of its own, all multiple reflections included.
 * @param truth.levelDbm - what the radio would give a perfect 50 Ω load.
 * @param truth.sourceVswr - VSWR of the radio’s output.
 * @param truth.errors - how far each part is off what is stated of it.
 */
export function levelAtInstrument(
  chain: Chain,
  instrument: Instrument,
  truth: { levelDbm: number; frequencyHz: number; sourceVswr: number; errors: PartErrors },
  random: () => number,
): number {
  const phase = () => 2 * Math.PI * random()
  const port = (vswr: number) => polar(reflectionFromVswr(vswr), phase())
  const { before, termination } = chainPath(chain, instrument)
  let row: TwoPort = { s11: ZERO, s22: ZERO, s12: ONE, s21: ONE }
  for (const part of before) {
    const loss = partLossAt(part, truth.frequencyHz)
    const error = truth.errors.get(part.id)
    const lossDb = (loss.known ? loss.lossDb : 0) + (error ? error.levelDb + error.flatnessDb() : 0)
    const through = polar(10 ** (-lossDb / 20), phase())
    row = cascade(row, { s11: port(part.vswr), s22: port(part.vswr), s12: through, s21: through })
  }
  const source = port(truth.sourceVswr)
  const load = port(Math.max(instrument.vswr, termination?.vswr ?? 1))
  const below = minus(
    times(minus(ONE, times(row.s11, source)), minus(ONE, times(row.s22, load))),
    times(times(row.s21, row.s12), times(source, load)),
  )
  const wave = over(row.s21, below)
  return truth.levelDbm + 10 * Math.log10(wave.re ** 2 + wave.im ** 2)
}

function cascade(a: TwoPort, b: TwoPort): TwoPort {
  const between = minus(ONE, times(a.s22, b.s11))
  return {
    s11: add(a.s11, over(times(times(a.s12, a.s21), b.s11), between)),
    s21: over(times(a.s21, b.s21), between),
    s12: over(times(a.s12, b.s12), between),
    s22: add(b.s22, over(times(times(b.s12, b.s21), a.s22), between)),
  }
}
