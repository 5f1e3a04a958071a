/** Step and end of the quadrature over u; the trapezoid rule converges faster than any power here. */
const STEP = 0.08

/**
 * Characteristic function of Student's t with ν degrees of freedom, scaled:
 * K_{ν/2}(z)·z^{ν/2}/(Γ(ν/2)·2^{ν/2−1}),
 * z = √ν·scale·|t|, with the modified Bessel function by its integral K_μ(z) = ∫ exp(−z·cosh u)·cosh(μu) du
 * over u > 0.
 * @param degreesOfFreedom - ν, a whole number of 1 or more.
 * @param scaleDb - the standard uncertainty s/√n.
 * @see S. Hurst, “The characteristic function of the Student t distribution”, 1995 (from memory).
 */
export function studentCharacteristic(degreesOfFreedom: number, scaleDb: number): (t: number) => number {
  const order = degreesOfFreedom / 2
  const norm = gammaOfHalf(degreesOfFreedom) * 2 ** (order - 1)
  return t => {
    const z = Math.sqrt(degreesOfFreedom) * scaleDb * Math.abs(t)
    if (z < 1e-8) return 1
    if (z > 700) return 0
    return Math.min(1, (besselK(order, z) * z ** order) / norm)
  }
}

function besselK(order: number, z: number): number {
  let sum = 0.5 * Math.exp(-z)
  for (let u = STEP; ; u += STEP) {
    const term = Math.exp(-z * Math.cosh(u) + order * u) / 2 + Math.exp(-z * Math.cosh(u) - order * u) / 2
    sum += term
    if (term < 1e-17 * sum) return sum * STEP
  }
}

/** Γ(n/2) by its recurrence, from Γ(1) = 1 and Γ(1/2) = √π. */
function gammaOfHalf(n: number): number {
  let value = n % 2 === 0 ? 1 : Math.sqrt(Math.PI)
  for (let x = n % 2 === 0 ? 1 : 0.5; x < n / 2; x++) value *= x
  return value
}
