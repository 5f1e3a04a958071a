/** Frame length whose resolution bandwidth comes near to what is wanted, a power of two. */
export function sizeFor(
  sampleRateHz: number,
  goal: { resolutionHz: number; enbwBins: number; sampleCount: number },
): number {
  const wanted = 2 ** Math.round(Math.log2((goal.enbwBins * sampleRateHz) / goal.resolutionHz))
  const longest = 2 ** Math.floor(Math.log2(Math.max(64, goal.sampleCount)))
  return Math.min(2 ** 20, Math.max(64, Math.min(wanted, longest)))
}
