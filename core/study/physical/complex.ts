/** A complex number. */
export interface ComplexNumber {
  re: number
  im: number
}

export const ZERO: ComplexNumber = { re: 0, im: 0 }
export const ONE: ComplexNumber = { re: 1, im: 0 }

/** A complex number of a size and an angle, rad. */
export const polar = (size: number, angle: number): ComplexNumber => ({
  re: size * Math.cos(angle),
  im: size * Math.sin(angle),
})

export const plus = (a: ComplexNumber, b: ComplexNumber): ComplexNumber => ({
  re: a.re + b.re,
  im: a.im + b.im,
})

export const minus = (a: ComplexNumber, b: ComplexNumber): ComplexNumber => ({
  re: a.re - b.re,
  im: a.im - b.im,
})

export const times = (a: ComplexNumber, b: ComplexNumber): ComplexNumber => ({
  re: a.re * b.re - a.im * b.im,
  im: a.re * b.im + a.im * b.re,
})

export function over(a: ComplexNumber, b: ComplexNumber): ComplexNumber {
  const square = b.re * b.re + b.im * b.im
  return { re: (a.re * b.re + a.im * b.im) / square, im: (a.im * b.re - a.re * b.im) / square }
}

/** Square of the size: a power, where it is a wave. */
export const squared = ({ re, im }: ComplexNumber): number => re * re + im * im
