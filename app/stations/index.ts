import type { Component } from 'vue'
import type { RecordingAnalysis } from '#core/signal'
import type { Step, StepResult } from '#core/step'
import type { ShadedBand } from '~/charts/channelSpectrumOption'
import type { StationRun } from '~/composables/useStationRun'
import { recordedBands } from './bandwidth/shadedBands'

/** What a part of a station’s screen is given. */
export interface StationPart {
  run: StationRun
  result: StepResult
}

/** What only one station shows; all of it is optional. */
export interface StationView {
  /** The whole screen, where the usual one does not serve. Given `run`. */
  panel?: Component
  /** Above the drawing; it may take files, as `actions` may. */
  before?: Component
  drawing?: Component
  /** Below the table of figures. */
  summary?: Component
  /** On the right, above reason and uncertainty. */
  beside?: Component
  /** Beside the button for files. */
  actions?: Component
  /** In place of all, where nothing is planned. Given `run`. */
  nothing?: Component
  /** Bands to shade in the spectrum of a recording. */
  bands?: (step: Step, analysis: RecordingAnalysis) => ShadedBand[]
}

type Load = () => Promise<{ default: Component }>

/** How the parts that are fetched when they are wanted are fetched. */
const loads = new WeakMap<object, Load>()

function lazy(load: Load): Component {
  const part = defineAsyncComponent(load)
  loads.set(part, load)
  return part
}

/** Views by station; a station without one has the usual screen and no drawing. */
export const stationViews: Readonly<Record<string, StationView>> = {
  'carrier-power': { panel: lazy(() => import('./carrier-power/CarrierPowerPanel.vue')) },
  'power-over-time': {
    before: lazy(() => import('./power-over-time/MomentDue.vue')),
    drawing: lazy(() => import('./power-over-time/DroopDrawing.vue')),
    actions: lazy(() => import('./power-over-time/LogActions.vue')),
  },
  harmonics: { panel: lazy(() => import('./harmonics/HarmonicsPanel.vue')) },
  'off-air': {
    before: lazy(() => import('./off-air/OffAirGeometry.vue')),
    drawing: lazy(() => import('./off-air/OffAirDrawing.vue')),
    summary: lazy(() => import('./off-air/OffAirSummary.vue')),
  },
  deviation: {
    drawing: lazy(() => import('./deviation/DeviationDrawing.vue')),
    summary: lazy(() => import('./deviation/BesselNull.vue')),
  },
  frequency: {
    drawing: lazy(() => import('./frequency/FrequencyDrawing.vue')),
    summary: lazy(() => import('./frequency/WarmUpDrift.vue')),
  },
  bandwidth: {
    drawing: lazy(() => import('./bandwidth/BandwidthDrawing.vue')),
    bands: recordedBands,
  },
  'two-tone': {
    before: lazy(() => import('./two-tone/EquipmentList.vue')),
    drawing: lazy(() => import('./two-tone/CombDrawing.vue')),
    summary: lazy(() => import('./two-tone/TwoSchools.vue')),
  },
  sensitivity: {
    before: lazy(() => import('./sensitivity/SinadNow.vue')),
    drawing: lazy(() => import('./sensitivity/SensitivityDrawing.vue')),
    beside: lazy(() => import('./sensitivity/OnFrequency.vue')),
    actions: lazy(() => import('./sensitivity/AudioActions.vue')),
  },
  audio: {
    before: lazy(() => import('./audio/VoltsNow.vue')),
    drawing: lazy(() => import('./audio/ResponseDrawing.vue')),
    actions: lazy(() => import('./audio/VoltsActions.vue')),
  },
  reach: { before: lazy(() => import('./reach/ReachSignals.vue')) },
  'by-ear': {
    before: lazy(() => import('./by-ear/ClipShelf.vue')),
    drawing: lazy(() => import('./by-ear/BlindListening.vue')),
  },
  squelch: { drawing: lazy(() => import('./squelch/SquelchLadder.vue')) },
  neighbour: {
    before: lazy(() => import('./sensitivity/SinadNow.vue')),
    drawing: lazy(() => import('./neighbour/ChannelVee.vue')),
  },
  'strong-signals': {
    before: lazy(() => import('./strong-signals/ConsentAndIf.vue')),
    drawing: lazy(() => import('./strong-signals/StrongDrawing.vue')),
  },
  antenna: {
    before: lazy(() => import('./antenna/AntennaChoice.vue')),
    drawing: lazy(() => import('./antenna/VswrDrawing.vue')),
    actions: lazy(() => import('./antenna/SweepActions.vue')),
  },
  inside: {
    before: lazy(() => import('./inside/InsideTargets.vue')),
    nothing: lazy(() => import('./inside/InsideForm.vue')),
  },
  battery: {
    before: lazy(() => import('./battery/DutyAndAmmeter.vue')),
    drawing: lazy(() => import('./battery/ChargeDrawing.vue')),
    summary: lazy(() => import('./battery/DischargeCurve.vue')),
    actions: lazy(() => import('./battery/DischargeActions.vue')),
  },
  stress: {
    before: lazy(() => import('./stress/ConsentLine.vue')),
    summary: lazy(() => import('./stress/PowerChange.vue')),
    nothing: lazy(() => import('./stress/ConsentForm.vue')),
  },
}

/** The view of a station; empty where it has none of its own. */
export function stationView(stationId: string): StationView {
  return stationViews[stationId] ?? {}
}

/** Fetches what a station’s screen is drawn with before it is opened. */
export async function fetchStationView(stationId: string): Promise<void> {
  await Promise.all(Object.values(stationView(stationId)).map(part => loads.get(part)?.()))
}
