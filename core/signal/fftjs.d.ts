declare module 'fft.js' {
  export default class FFT {
    constructor(size: number)
    transform(output: ArrayLike<number>, input: ArrayLike<number>): void
  }
}
