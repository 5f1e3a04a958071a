import type { BenchCheck, CheckSeverity } from '#core/chain'

export interface HeaderLamp {
  text: string
  severity: CheckSeverity
}

const MOST_LAMPS = 3

/** The lamps of the header: the gravest checks that have a lamp, and the supply. */
export function lampsFrom(checks: readonly BenchCheck[], supply: string | null): HeaderLamp[] {
  const lamps = checks
    .flatMap(check => (check.lamp === null ? [] : [{ text: check.lamp, severity: check.severity }]))
    .slice(0, MOST_LAMPS)
  return supply === null
    ? lamps
    : [
        ...lamps,
        supply
          ? { text: supply, severity: 'ok' as const }
          : { text: 'Supply not recorded', severity: 'note' as const },
      ]
}
