/** Size of a filter’s response at so many cycles per sample. */
export function tapsResponse(taps: Float64Array, cyclesPerSample: number): number {
  const step = 2 * Math.PI * cyclesPerSample
  let re = 0
  let im = 0
  for (let n = 0; n < taps.length; n++) {
    re += taps[n]! * Math.cos(step * n)
    im += taps[n]! * Math.sin(step * n)
  }
  return Math.hypot(re, im)
}
