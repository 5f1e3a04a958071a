import { between, pad } from '../bench'
import type { PhysicalKind, Trial } from '../physicalStudy'
import { harmonicTrial } from './harmonicTrial'

/** Radios whose output, behind its low-pass, sends nearly all back at a harmonic. */
export const reflectionKinds: readonly PhysicalKind[] = [
  {
    id: 'harmonic-reflected',
    stationId: 'harmonics',
    title: 'The radio’s output reflects 0.8 to 0.95 at its harmonics; a good bench, pads of VSWR 1.2',
    told: 'nothing of the radio',
    widerIsFair: true,
    draw: random => reflectedTrial(random, [pad('pad', { lossDb: 50, vswr: 1.2 })]),
  },
  {
    id: 'harmonic-reflected-bare',
    stationId: 'harmonics',
    title: 'The same straight into a sampler that reflects a fifth',
    told: 'nothing of the radio',
    widerIsFair: true,
    draw: random => reflectedTrial(random, [pad('sampler', { lossDb: 50, vswr: 1.5 })]),
  },
  {
    id: 'harmonic-reflected-padded',
    stationId: 'harmonics',
    title: 'The same with a 10 dB pad of VSWR 1.05 right at the socket',
    told: 'nothing of the radio',
    widerIsFair: true,
    draw: random =>
      reflectedTrial(random, [
        pad('at-socket', { lossDb: 10, vswr: 1.05 }),
        pad('sampler', { lossDb: 40, vswr: 1.5 }),
      ]),
  },
]

function reflectedTrial(random: () => number, parts: ReturnType<typeof pad>[]): Trial {
  return harmonicTrial({
    random,
    analyser: { amplitudeAccuracyDb: 0.3 },
    parts,
    harmonicDbm: between(random, -40, -10),
    carrierW: 5,
    source: between(random, 0.8, 0.95),
  })
}
