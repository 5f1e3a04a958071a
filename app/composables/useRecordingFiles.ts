import { foundInRecording, withAnnotations, writeCsv } from '#core/format'
import { samplesOfPart } from '#core/signal'
import type { RecordingLook } from '~/workers/recording.worker'
import type { Recordings } from './useRecordings'
import type { useRecordingSpectrum } from './useRecordingSpectrum'

const rounded = (value: number, perUnit: number) => Math.round(perUnit * value) / perUnit
const baseName = ({ name }: RecordingLook) => name.replace(/\.[^.]+$/, '')

/** What was found in a recording, taken away as files. */
export function useRecordingFiles(
  recordings: Recordings,
  shown: {
    look: () => RecordingLook | null
    carrierComment: () => string
    spectrum: ReturnType<typeof useRecordingSpectrum>
  },
) {
  const config = useRuntimeConfig().public
  const { curve, carrierHz, referenceDb } = shown.spectrum

  /** SigMF annotations, beside the metadata the recording came with. */
  function takeAnnotations(): void {
    const found = recordings.analysis.value
    const taken = recordings.taken.value
    const look = shown.look()
    if (!found || !look || !taken) return
    const { first, count } = samplesOfPart(
      { sampleCount: look.sampleCount, sampleRateHz: taken.sampleRateHz },
      taken,
    )
    const marks = foundInRecording(found, {
      referenceDb: referenceDb.value,
      carrierComment: shown.carrierComment(),
    })
    const meta = withAnnotations(look.meta, marks, {
      firstSample: look.firstSample + first,
      sampleCount: count,
      centreHz: taken.centreHz,
      generator: `Rigorous Meter ${config.version}`,
    })
    const json = JSON.stringify(meta, null, 2)
    downloadFile(`${baseName(look)}.sigmf-meta`, new Blob([json], { type: 'application/json' }))
  }

  /** The spectrum as it is drawn, with its density. */
  function takeCsv(): void {
    const look = shown.look()
    const found = recordings.analysis.value
    const points = curve.value
    if (!points || !look || !found) return
    const middleHz = carrierHz.value + (recordings.setup.value?.centreHz ?? 0)
    const perHzDb = 10 * Math.log10(found.spectrum.enbwHz)
    const rows = Array.from(points.x, (hz, i) => [
      rounded(hz + middleHz, 10),
      rounded(points.y[i]!, 100),
      rounded(points.y2[i]!, 100),
      rounded(points.y[i]! - perHzDb, 100),
    ])
    const csv = writeCsv([['frequencyHz', 'meanDbc', 'highestDbc', 'densityDbcPerHz'], ...rows])
    downloadFile(`${baseName(look)}-spectrum.csv`, new Blob(['\uFEFF', csv], { type: 'text/csv' }))
  }

  return { takeAnnotations, takeCsv }
}
