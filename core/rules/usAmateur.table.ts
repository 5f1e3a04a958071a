import type { Rulebook } from './types'

/**
 * 47 CFR Part 97, unwanted emissions of amateur stations. FROM MEMORY, without the text at hand.
 * Clause 97.307(d): below 30 MHz, transmitters installed after 1 January 2003. Clause 97.307(e): 30 to
 * 225 MHz, chosen by the fundamental. Bands from 97.301, from memory, without the sub-band conditions.
 */
export const usAmateur: Rulebook = {
  id: 'us-amateur',
  title: 'US amateur',
  jurisdiction: 'United States',
  edition: '47 CFR Part 97, recalled 2026',
  standing: 'law',
  bands: [
    { name: '160 m', fromHz: 1.8e6, toHz: 2e6 },
    { name: '80 m', fromHz: 3.5e6, toHz: 4e6 },
    { name: '60 m', fromHz: 5.33e6, toHz: 5.407e6 },
    { name: '40 m', fromHz: 7e6, toHz: 7.3e6 },
    { name: '30 m', fromHz: 10.1e6, toHz: 10.15e6 },
    { name: '20 m', fromHz: 14e6, toHz: 14.35e6 },
    { name: '17 m', fromHz: 18.068e6, toHz: 18.168e6 },
    { name: '15 m', fromHz: 21e6, toHz: 21.45e6 },
    { name: '12 m', fromHz: 24.89e6, toHz: 24.99e6 },
    { name: '10 m', fromHz: 28e6, toHz: 29.7e6 },
    { name: '6 m', fromHz: 50e6, toHz: 54e6 },
    { name: '2 m', fromHz: 144e6, toHz: 148e6 },
    { name: '1.25 m', fromHz: 219e6, toHz: 220e6 },
    { name: '1.25 m', fromHz: 222e6, toHz: 225e6 },
    { name: '70 cm', fromHz: 420e6, toHz: 450e6 },
    { name: '33 cm', fromHz: 902e6, toHz: 928e6 },
    { name: '23 cm', fromHz: 1240e6, toHz: 1300e6 },
    { name: '13 cm', fromHz: 2300e6, toHz: 2450e6 },
  ],
  limits: [
    {
      id: '97.307d', clause: '47 CFR 97.307(d)', recalled: true, confidence: 'H',
      carrier: { fromHz: 9e3, toHz: 29.999999e6 }, power: { aboveW: 0, upToW: Infinity },
      demands: [{ kind: 'relative', attenuationDb: 43 }], needNotBeBelowW: null,
    },
    {
      id: '97.307e-low', clause: '47 CFR 97.307(e)', recalled: true, confidence: 'H',
      carrier: { fromHz: 30e6, toHz: 225e6 }, power: { aboveW: 0, upToW: 25 },
      demands: [{ kind: 'absolute', powerW: 25e-6 }, { kind: 'relative', attenuationDb: 40 }], needNotBeBelowW: 10e-6,
    },
    {
      id: '97.307e-high', clause: '47 CFR 97.307(e)', recalled: true, confidence: 'H',
      carrier: { fromHz: 30e6, toHz: 225e6 }, power: { aboveW: 25, upToW: Infinity },
      demands: [{ kind: 'relative', attenuationDb: 60 }], needNotBeBelowW: null,
    },
  ],
  noFigure: [
    {
      clause: '47 CFR 97.307(c)', carrier: { fromHz: 225.000001e6, toHz: 300e9 },
      words: 'Above 225 MHz 97.307 names no figure: spurious emissions are to be reduced to the greatest extent practicable, and any that interfere must be dealt with.',
    },
  ],
}
