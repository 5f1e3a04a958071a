import { seededRandom } from './seededRandom'

/** A simulated antenna: where it resonates, how sharply, and what it shows there. */
export interface SimulatedAntenna {
  resonanceHz: number
  q: number
  resistanceOhm: number
  seed: number
}

/** Γ at 50 Ω of a series resonance over a sweep, with a little noise of the analyser: Hz, real and imaginary part. */
export function simulatedSweep(
  { resonanceHz, q, resistanceOhm, seed }: SimulatedAntenna,
  { fromHz, toHz, points }: { fromHz: number; toHz: number; points: number },
): { frequencyHz: number; re: number; im: number }[] {
  const random = seededRandom(seed)
  return Array.from({ length: points }, (_unused, i) => {
    const frequencyHz = fromHz + ((toHz - fromHz) * i) / (points - 1)
    const x = q * resistanceOhm * (frequencyHz / resonanceHz - resonanceHz / frequencyHz)
    const size = (resistanceOhm + 50) ** 2 + x * x
    return {
      frequencyHz,
      re: ((resistanceOhm - 50) * (resistanceOhm + 50) + x * x) / size + 0.002 * (random() - 0.5),
      im: (100 * x) / size + 0.002 * (random() - 0.5),
    }
  })
}
