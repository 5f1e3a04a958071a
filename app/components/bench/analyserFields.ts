import type { SpectrumAnalyser } from '#core/chain'
import type { Display } from '#core/uncertainty'
import { choice, type EditField, fieldsFor } from '../fields/editField'
import { DISPLAY_ITEMS } from './displayItems'
import { DAMAGE, HALF_WIDTH, isStated, OVERLOAD, REFERENCE } from './instrumentRanges'

const analyser = fieldsFor<SpectrumAnalyser>()

/** What is asked of a spectrum analyser. */
export const ANALYSER: readonly EditField<SpectrumAnalyser>[] = [
  analyser.number('damageDbm', DAMAGE),
  analyser.number('overloadDbm', OVERLOAD),
  analyser.numberOrNone('flatnessDb', {
    label: 'of which over frequency ±',
    change: 'an accuracy',
    ...HALF_WIDTH,
    empty: 'not known: all of it',
  }),
  analyser.number('floorDbm', {
    label: 'Noise floor',
    change: 'a noise floor',
    unit: 'dBm',
    min: -200,
    max: 50,
  }),
  analyser.number('floorDoubtDb', {
    label: 'Floor known to ±',
    change: 'how well a floor is known',
    ...HALF_WIDTH,
  }),
  analyser.number('resolutionBandwidthHz', {
    label: 'Resolution bandwidth',
    change: 'a resolution bandwidth',
    frequency: true,
  }),
  analyser.number(
    'amplitudeAccuracyDb',
    { label: 'Amplitude accuracy ±', change: 'an accuracy', ...HALF_WIDTH },
    isStated,
  ),
  analyser.numberOrNone('scaleDbPer10Db', {
    label: 'Scale off over 10 dB, ±',
    change: 'a scale fidelity',
    unit: 'dB',
    min: 0,
    max: 10,
    empty: '0.2 assumed',
  }),
  choice<SpectrumAnalyser, Display>(
    { label: 'How it shows a level', change: 'how an analyser shows a level', items: DISPLAY_ITEMS },
    it => it.detection.shows,
    (draft, shows) => {
      draft.detection = { shows, looks: null }
    },
  ),
  {
    as: 'number-or-none',
    label: 'Sweeps averaged or held',
    change: 'how many sweeps an analyser shows',
    min: 1,
    max: 1e6,
    empty: 'not known',
    of: it => it.detection.looks,
    set: (draft, looks) => {
      draft.detection.looks = looks === null ? null : Math.round(looks)
    },
  },
  analyser.number('resolution', { label: 'Last digit', change: 'a resolution', unit: 'dB', min: 0, max: 20 }),
  analyser.numberOrNone('referencePpm', REFERENCE),
]
