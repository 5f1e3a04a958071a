/**
 * Two independent standard normal numbers.
 * @see G. Marsaglia, the polar method, SIAM Review 6 (1964) 260 (from memory).
 */
export function gaussianPair(random: () => number): readonly [number, number] {
  for (;;) {
    const x = 2 * random() - 1
    const y = 2 * random() - 1
    const square = x * x + y * y
    if (square > 0 && square < 1) {
      const scale = Math.sqrt((-2 * Math.log(square)) / square)
      return [x * scale, y * scale]
    }
  }
}
