import {
  analysisSettings,
  channelFilter,
  samplesOfPart,
  type SpectrumCurve,
  type RecordingAnalysis,
} from '#core/signal'
import type { RecordingNeeds } from '#core/station'
import type { Step } from '#core/step'
import type { RecordingLook } from '~/workers/recording.worker'
import { choiceOf, type RecordingSetup } from './recordingSetup'
import { useCancellableWork } from './useCancellableWork'
import { usePickedRecordings } from './usePickedRecordings'

/** Share of the work that the first look through is. */
const LOOK_SHARE = 0.15

const COLUMNS = 240
const ROWS = 96

/**
 * Takes recordings from button or drop, looks at them, analyses one in the workers with progress and cancel,
 * and holds what was found until it is kept.
 */
export function useRecordings(step: Readonly<Ref<Step | null>>, needs: (step: Step) => RecordingNeeds) {
  const picked = usePickedRecordings(step)
  const { files, looks, setup } = picked
  const analysis = shallowRef<RecordingAnalysis | null>(null)
  /** How the analysis in hand was taken: the fields may have been changed since. */
  const taken = shallowRef<RecordingSetup | null>(null)
  const work = useCancellableWork()

  async function bringIn(wanted: File[]): Promise<void> {
    drop()
    if (await picked.look(wanted)) await analyse()
  }

  async function analyse(): Promise<void> {
    const chosen = setup.value && { ...setup.value }
    const look = chosen && looks.value[chosen.index]
    const place = step.value
    if (!chosen || !look || !place) return
    analysis.value = null
    const found = await work.run(onProgress =>
      analysed({ files: toRaw(files.value), look, chosen, needs: needs(place), onProgress }),
    )
    if (!found) return
    analysis.value = found
    taken.value = chosen
  }

  /** A closer look around the carrier that was found; null when it was cancelled. */
  async function lookCloser(widthHz: number): Promise<SpectrumCurve | null> {
    const chosen = taken.value
    const found = analysis.value
    if (!chosen || !found) return null
    return work.run(async onProgress => {
      const { zoomInto } = await import('~/workers/recordingWorkers')
      const around = { middleHz: found.carrierHz ?? 0, widthHz, insight: found.insight }
      return zoomInto(toRaw(files.value), choiceOf(chosen), around, onProgress)
    })
  }

  /** Stops the analysis at once; the workers are let go. */
  async function cancel(): Promise<void> {
    work.stop('Cancelled. Nothing was kept; the file is as it was.')
    const { dismiss } = await import('~/workers/recordingWorkers')
    dismiss()
  }

  function drop(): void {
    work.stop('')
    picked.forget()
    analysis.value = null
    taken.value = null
  }

  return {
    ...{ files, looks, setup, choose: picked.choose, evidence: picked.evidence },
    ...{ analysis, taken, progress: work.progress, problem: work.problem },
    ...{ bringIn, analyse, lookCloser, cancel, drop },
  }
}

export type Recordings = ReturnType<typeof useRecordings>

/** Analyses one recording, as a station needs it. */
async function analysed({
  files,
  look,
  chosen,
  needs,
  onProgress,
}: {
  files: File[]
  look: RecordingLook
  chosen: RecordingSetup
  needs: RecordingNeeds
  onProgress: (share: number) => void
}): Promise<RecordingAnalysis> {
  const { sampleRateHz } = chosen
  const sampleCount = samplesOfPart({ sampleCount: look.sampleCount, sampleRateHz }, chosen).count
  const choice = choiceOf(chosen)
  const { analyseRecording, insightInto } = await import('~/workers/recordingWorkers')
  const { channelHalfHz } = channelFilter(needs.channelSpacingHz)
  const lookShare = (share: number) => onProgress(LOOK_SHARE * share)
  const insight =
    chosen.as === 'iq' ? await insightInto(files, choice, { sampleCount, channelHalfHz }, lookShare) : null
  const shiftHz = chosen.shiftHz ?? insight?.signalHz ?? 0
  const source = { sampleRateHz, sampleCount, layout: chosen.as }
  return analyseRecording({
    files,
    choice,
    sampleCount,
    settings: {
      ...analysisSettings(source, needs, { hz: shiftHz, insight }),
      columns: COLUMNS,
      rows: ROWS,
    },
    wanted: {
      ...{ channelSpacingHz: needs.channelSpacingHz, carrierHz: shiftHz, twoTone: needs.twoTone },
      phaseNoiseDbcPerHz: chosen.phaseNoiseDbcPerHz,
    },
    onProgress: share => onProgress(insight ? LOOK_SHARE + (1 - LOOK_SHARE) * share : share),
  })
}
