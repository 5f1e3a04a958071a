/** What an invented radio draws, A, and the volts it draws it at. */
export interface SupplyTruth {
  standbyA: number
  receivingA: number
  /** By level. */
  keyedA: Readonly<Record<string, number>>
  volts?: number
}

/** What the demo’s radios truly draw, by set (invented). */
export const supplyTruth: Readonly<Record<string, SupplyTruth>> = {
  'trek-a': { standbyA: 0.041, receivingA: 0.172, keyedA: { high: 1.58, low: 0.71 }, volts: 7.6 },
  'trek-b': { standbyA: 0.043, receivingA: 0.175, keyedA: { high: 1.61 } },
  mini: { standbyA: 0.038, receivingA: 0.15, keyedA: { high: 1.94 } },
  pellworth: { standbyA: 0.19, receivingA: 0.34, keyedA: { high: 4.9, low: 2.2 }, volts: 13.6 },
}
