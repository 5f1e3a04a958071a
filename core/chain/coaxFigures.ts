/**
 * Coax, dB per 100 m matched at 20 °C, FROM MEMORY (limits.md, section 12): typical figures at 100 and
 * 1000 MHz and the spread between constructions. √f and f terms fitted through the two figures.
 */
export const COAX = [
  { name: 'RG-58', at100Db: 16, at1000Db: 64, spread: 0.16, ratingW: 150 },
  { name: 'RG-223', at100Db: 14, at1000Db: 49, spread: 0.08, ratingW: 200 },
  { name: 'RG-213', at100Db: 7, at1000Db: 26, spread: 0.1, ratingW: 400 },
  { name: 'RG-174', at100Db: 28, at1000Db: 105, spread: 0.1, ratingW: 30 },
  { name: 'RG-316', at100Db: 27, at1000Db: 93, spread: 0.07, ratingW: 80 },
] as const
/** √f and f terms of a cable through its figures at 100 MHz and 1 GHz. */
export function coaxTerms(
  at100Db: number,
  at1000Db: number,
): { rootDbPer100M: number; linearDbPer100M: number } {
  const linearDbPer100M = (at1000Db - Math.sqrt(10) * at100Db) / (10 - Math.sqrt(10))
  return { rootDbPer100M: at100Db - linearDbPer100M, linearDbPer100M }
}
