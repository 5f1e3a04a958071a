import { ADJACENT_CHANNELS, adjacentHz, type AdjacentChannel, spacingOf } from '#core/band'
import type { VerdictState } from '#core/decision'
import { printHz } from '#core/quantity'
import { adjacentFilterHz, type RecordingAnalysis } from '#core/signal'
import type { Step } from '#core/step'
import type { ShadedBand } from '~/charts/channelSpectrumOption'

/** The bands to shade around the carrier: what is occupied, and the filters of the adjacent channels. */
export function shadedBands(
  { band }: Pick<Step, 'band'>,
  judged: { occupiedHz: number | null; states: ReadonlyMap<string, VerdictState> },
): ShadedBand[] {
  const spacingHz = spacingOf(band)
  const halfHz = adjacentFilterHz(spacingHz) / 2
  const adjacent = ADJACENT_CHANNELS.map((channel): ShadedBand => {
    const middleHz = adjacentHz(channel, { carrierHz: 0, spacingHz })
    return {
      fromHz: middleHz - halfHz,
      toHz: middleHz + halfHz,
      label: labelOf(channel),
      tone: toneOf(judged.states.get(channel.id)),
    }
  })
  return [...occupiedBand(judged.occupiedHz), ...adjacent]
}

function occupiedBand(hz: number | null): ShadedBand[] {
  if (hz === null) return []
  return [{ fromHz: -hz / 2, toHz: hz / 2, label: `99 %: ${printHz(hz)}`, tone: 'own' }]
}

function labelOf({ side, step }: AdjacentChannel): string {
  if (step !== 1) return 'second'
  return side < 0 ? 'next below' : 'next above'
}

function toneOf(state: VerdictState | undefined): ShadedBand['tone'] {
  if (state === 'outside') return 'outside'
  return state === 'too-close' ? 'close' : 'neighbour'
}

/** The same for a recording that is being looked at: nothing is judged yet. */
export function recordedBands(step: Pick<Step, 'band'>, { occupied }: RecordingAnalysis): ShadedBand[] {
  return shadedBands(step, { occupiedHz: occupied?.bandwidthHz ?? null, states: new Map() })
}
