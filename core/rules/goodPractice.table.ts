import type { Rulebook } from './types'

/**
 * The reviewer's own yardstick: 60 dB down at every harmonic. Common practice, no law; always labelled so.
 */
export const goodPractice: Rulebook = {
  id: 'good-practice',
  title: 'Good practice, 60 dB',
  jurisdiction: 'none',
  edition: 'reviewer’s yardstick',
  standing: 'yardstick',
  bands: [],
  limits: [
    {
      id: 'down-60', clause: 'Good practice, 60 dB down', recalled: false, confidence: 'H',
      carrier: { fromHz: 9e3, toHz: 300e9 }, power: { aboveW: 0, upToW: Infinity },
      demands: [{ kind: 'relative', attenuationDb: 60 }], needNotBeBelowW: null,
    },
  ],
  noFigure: [],
}
