import normalCdf from '@stdlib/stats-base-dists-normal-cdf'

/** From this signal-to-noise ratio on a look is as good as normal in voltage: the error is under 0.002. */
const NORMAL_FROM = 300

const EULER = 0.577_215_664_901_532_9
const WINDOW = 8

/**
 * Power of one look at a carrier in Gaussian noise, over the mean power of the noise: |√s + n|². It is Gamma
 * distributed with 1 + j degrees of freedom, j a Poisson number of mean s.
 * @param signal - power of the carrier over that of the noise, s.
 * @returns P(power ≤ x).
 * @see S. O. Rice, Bell Syst. Tech. J. 24 (1945) 46; the mixture: Johnson, Kotz and Balakrishnan, Continuous Univariate
 *   Distributions 2, chapter 29 (both from memory).
 */
export function lookBelow(x: number, signal: number): number {
  if (x <= 0) return 0
  if (signal > NORMAL_FROM) {
    const volts = Math.sqrt(signal)
    return normalCdf(Math.sqrt(x), volts + 1 / (4 * volts), Math.SQRT1_2)
  }
  // P(1 + j events of a Poisson process in x): both Poisson numbers are walked through together.
  const last = Math.ceil(signal + WINDOW * Math.sqrt(signal + 1) + WINDOW)
  let weight = Math.exp(-signal)
  let term = Math.exp(-x)
  let atLeastOneMore = 1 - term
  let sum = 0
  for (let j = 0; j <= last; j++) {
    sum += weight * atLeastOneMore
    weight *= signal / (j + 1)
    term *= x / (j + 1)
    atLeastOneMore -= term
  }
  return Math.min(1, Math.max(0, sum))
}

/**
 * Mean and variance of ln(power) of one look: mean ln s + E1(s), −γ without a carrier.
 * @see the moments of a logarithm of a Gamma variable: ψ and ψ′ (Abramowitz and Stegun, 6.3 and 6.4, from memory).
 */
export function lookLogarithm(signal: number): { mean: number; variance: number } {
  if (signal > NORMAL_FROM) return { mean: Math.log(signal), variance: 2 / signal }
  const last = Math.ceil(signal + WINDOW * Math.sqrt(signal + 1) + WINDOW)
  let weight = Math.exp(-signal)
  let digamma = -EULER
  let trigamma = Math.PI ** 2 / 6
  let mean = 0
  let square = 0
  for (let j = 0; j <= last; j++) {
    mean += weight * digamma
    square += weight * (digamma * digamma + trigamma)
    weight *= signal / (j + 1)
    digamma += 1 / (j + 1)
    trigamma -= 1 / (j + 1) ** 2
  }
  return { mean, variance: square - mean * mean }
}
