/**
 * How often something drawn at random is tried: less often by `npm test` alone, whose `--all` tries everything, as any
 * other way to run the tests does.
 */
export function rounds({ quick, all }: { quick: number; all: number }): number {
  return process.env.RIGOROUS_METER_TESTS === 'quick' ? quick : all
}
