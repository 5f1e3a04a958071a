/** VSWR of an antenna at the lowest, the middle and the highest channel of a band, by set and band (invented). */
export const matchTruth: Readonly<
  Record<string, Readonly<Record<string, readonly [number, number, number]>>>
> = {
  mini: { '2m': [3.1, 2.8, 2.7], '70cm': [1.6, 1.4, 1.5] },
}
