import { printDbc } from '#core/quantity'
import { setShortName } from '#core/review'
import { offAirDbc, offAirLines } from '#core/station'
import type { StepResult } from '#core/step'
import { type OnSameBand, useSameBand } from '~/composables/useSameBand'
import type { StationRun } from '~/composables/useStationRun'

/** A radio off the air: its harmonics against its own carrier, dBc, ×2 first. */
export interface OffAirRadio {
  name: string
  here: boolean
  values: (number | null)[]
}

function nameOf({ set }: OnSameBand): string {
  return `${setShortName(set)}${set.role === 'control' ? ' (control)' : ''}`
}

/** Every radio measured on the same band at the same place, and what the others come to. */
export function useOffAirRadios(run: StationRun, result: () => StepResult) {
  const all = useSameBand(run, result)
  const radios = computed(() =>
    all.value.flatMap((one): OffAirRadio[] => {
      const values = offAirLines(one.result)
      return values ? [{ name: nameOf(one), here: one.here, values }] : []
    }),
  )
  const beside = computed(() =>
    all.value
      .filter(({ here }) => !here)
      .flatMap(one => {
        const dbc = offAirDbc(one.result)
        return dbc === null ? [] : [`${nameOf(one)} ${printDbc(dbc)}`]
      })
      .join('; '),
  )
  return { radios, beside }
}
