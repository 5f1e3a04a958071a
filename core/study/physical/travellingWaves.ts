import { type ComplexNumber, minus, ONE, over, plus, polar, squared, times } from './complex'

/** A two-port of the travelling-wave bench: what it lets through, and what either end reflects. */
export interface TwoPort {
  /** Loss between matched ends, dB. */
  lossDb: number
  /** Size of the reflection at the end towards the radio, and at the other. */
  reflects: readonly [number, number]
}

/** A source that would give a perfect load a wave of size 1, and what its own end reflects. */
interface Source {
  wave: ComplexNumber
  reflection: ComplexNumber
}

/**
 * What a perfectly calibrated instrument behind two-ports shows of a source, dB against what that source would give
 * a perfect load less the losses: 0 where nothing reflects. All multiple reflections; every angle is drawn.
 * Sources are carried through one two-port after the other as Thévenin carried them: a new wave and a new reflection.
 * @param ends.source - size of the reflection of the radio's own output.
 * @param ends.load - size of the reflection of the instrument's input.
 * @see the algebra of scattering parameters (Kurokawa, IEEE Trans. MTT-13 (1965) 194, from memory).
 */
export function shownAgainstMatchedDb(
  ends: { source: number; load: number },
  twoPorts: readonly TwoPort[],
  random: () => number,
): number {
  const angle = () => 2 * Math.PI * random()
  let source: Source = { wave: ONE, reflection: polar(ends.source, angle()) }
  let lossDb = 0
  for (const { lossDb: own, reflects } of twoPorts) {
    lossDb += own
    const through = polar(10 ** (-own / 20), angle())
    const towardsRadio = polar(reflects[0], angle())
    const towardsLoad = polar(reflects[1], angle())
    const circling = minus(ONE, times(towardsRadio, source.reflection))
    source = {
      wave: over(times(source.wave, through), circling),
      reflection: plus(towardsLoad, over(times(times(through, through), source.reflection), circling)),
    }
  }
  const circling = minus(ONE, times(source.reflection, polar(ends.load, angle())))
  return 10 * Math.log10(squared(over(source.wave, circling))) + lossDb
}

/** Size of the reflection of a standing-wave ratio. */
export const reflectionOf = (vswr: number): number => (vswr - 1) / (vswr + 1)
