import { type SpectrumCurve, spectrumCurve } from '#core/signal'
import type { CurvePoints } from '#core/review'
import { buildChannelSpectrumOption } from '~/charts/channelSpectrumOption'
import { stationView } from '~/stations'
import type { Step } from '#core/step'
import type { Recordings } from './useRecordings'

/** How much closer than the station’s own width a closer look goes. */
const CLOSER = 8
const POINTS = 700

/** The spectrum around a recording’s carrier, drawn over the station’s width or a closer one. */
export function useRecordingSpectrum(
  recordings: Recordings,
  place: { step: () => Step; halfWidthHz: () => number },
) {
  const palette = useChartPalette()
  const { analysis } = recordings

  const carrierHz = computed(() => analysis.value?.carrierHz ?? 0)
  const referenceDb = computed(
    () => analysis.value?.adjacent?.ownPowerDb ?? analysis.value?.peaks[0]?.levelDb ?? 0,
  )
  const closer = shallowRef<SpectrumCurve | null>(null)
  watch(analysis, () => {
    closer.value = null
  })
  async function toggleCloser(): Promise<void> {
    closer.value = closer.value ? null : await recordings.lookCloser((2 * place.halfWidthHz()) / CLOSER)
  }

  /** dBc over Hz from the carrier: the mean, and the highest of each stretch. */
  const curve = computed<Required<CurvePoints> | null>(() => {
    if (!analysis.value) return null
    if (closer.value) return fromReference(closer.value, referenceDb.value)
    const thin = spectrumCurve(analysis.value.spectrum, {
      carrierHz: carrierHz.value,
      withinHz: place.halfWidthHz(),
      points: POINTS,
      referenceDb: referenceDb.value,
    })
    return fromReference(thin, 0)
  })
  const option = computed(() =>
    buildChannelSpectrumOption({
      palette: palette.value,
      curve: curve.value,
      bands: analysis.value
        ? (stationView(place.step().stationId).bands?.(place.step(), analysis.value) ?? [])
        : [],
      lines: [],
      levelName: 'dBc',
      halfWidthHz: closer.value ? place.halfWidthHz() / CLOSER : place.halfWidthHz(),
    }),
  )
  return { curve, option, closer, toggleCloser, carrierHz, referenceDb }
}

function fromReference({ offsetHz, meanDb, highestDb }: SpectrumCurve, referenceDb: number) {
  return {
    x: offsetHz,
    y: meanDb.map(db => db - referenceDb),
    y2: highestDb.map(db => db - referenceDb),
  }
}
