import type { Chain, Part, SignalGenerator } from '../chain'
import {
  type BenchTruth,
  type Keyed,
  type Plug,
  type RadioDoes,
  seedOf,
  truthFromSeed,
  type VirtualRadio,
  virtualRadio,
} from '../virtual'
import type { Hands } from './hands'
import { PRACTICE_HZ, PRACTICE_IDS, PRACTICE_LEVEL, PRACTICE_W } from './practiceReview'
import type { PracticeWorld } from './world'

/** What a half-empty pack costs, dB. */
const TIRED_DB = 1.4
/** With its preamplifier on an analyser is driven so much earlier, dB. */
const PREAMPLIFIER_DB = 25
const EXTRA_PAD_DB = 10
/** emf is twice pd. */
const EMF_DB = 6.0206
const BEYOND_DB = 200
/** Radios of practice are nearly on their channel: what is off there is planted. */
const TUNED_SHARE = 0.4
/** Of so many looks at the other channel one goes there. */
const WATCHES_ONE_IN = 3
const OTHER_CHANNEL_HZ = 600e3

/** A radio of an evening as it truly is, with a full battery: what a reviewer’s ranges are to hold. */
export function trueRadio(
  { seed, radios }: Pick<PracticeWorld, 'seed' | 'radios'>,
  setId: string,
): VirtualRadio {
  const base = virtualRadio(seedOf(`${seed}:${setId}`))
  const { harmonicsDbc, shortDb } = radios[setId] ?? {}
  const changeDb = (keyed: Keyed) =>
    shortDb === undefined
      ? 0
      : 10 * Math.log10(1000 * keyed.claimedW) - shortDb - base.carrierDbm({ ...keyed, forS: 0 })
  const carrierDbm = (keyed: Keyed) => base.carrierDbm(keyed) + changeDb(keyed)
  const { hearing } = base
  return {
    ...base,
    carrierDbm,
    hearing: { ...hearing, tunedHz: TUNED_SHARE * hearing.tunedHz },
    harmonicDbm: (keyed, n) => {
      if (n === 1) return carrierDbm(keyed)
      const dbc = harmonicsDbc?.[Math.min(n - 2, harmonicsDbc.length - 1)]
      return dbc === undefined ? base.harmonicDbm(keyed, n) + changeDb(keyed) : carrierDbm(keyed) + dbc
    },
  }
}

/** What is true of an evening’s bench while hands stand as they do, over what its review says. */
export function practiceTruth(world: PracticeWorld, hands: () => Hands): BenchTruth {
  const base = truthFromSeed(world.seed)
  let looks = 0
  return {
    ...base,
    radio: setId => radioNow(trueRadio(world, setId), hands()),
    plug: plug => truePlug(world, hands(), plug),
    does: radio => {
      looks += 1
      return reallyDoes(radio, hands(), looks)
    },
    partErrors: (plug, frequencyHz) => {
      const errors = base.partErrors(plug, frequencyHz)
      const ends = plug.instrument.kind === 'spectrum-analyser' ? world.analyserEndsHz : null
      if (ends === null || frequencyHz <= ends) return errors
      // Beyond its end a front end lets nothing through, and its screen shows noise.
      const [first] = plug.chain.parts
      return first ? new Map(errors).set(first.id, { levelDb: BEYOND_DB, flatnessDb: () => 0 }) : errors
    },
    generator: generator => {
      const drawn = base.generator(generator)
      const mistaken = world.generator.isEmf && saysPd(generator) ? -EMF_DB : 0
      const offPpm = generator.id === PRACTICE_IDS.generator ? (world.generator.offHz / PRACTICE_HZ) * 1e6 : 0
      return { levelErrorDb: drawn.levelErrorDb + mistaken, ppm: drawn.ppm + offPpm }
    },
    ambient: () => world.ambient,
  }
}

const saysPd = ({ id, voltageIs }: SignalGenerator) => id === PRACTICE_IDS.generator && voltageIs === 'pd'

function radioNow(radio: VirtualRadio, { battery }: Hands): VirtualRadio {
  const tiredDb = battery === 'half' ? TIRED_DB : 0
  return {
    ...radio,
    supplyV: battery === 'half' ? 7.1 : 8.2,
    carrierDbm: keyed => radio.carrierDbm(keyed) - tiredDb,
    harmonicDbm: (keyed, n) => radio.harmonicDbm(keyed, n) - tiredDb,
  }
}

function reallyDoes(radio: RadioDoes, { toneSquelch, dualWatch }: Hands, looks: number): RadioDoes {
  // What it makes is its own: the card may be corrected, and the radio does not mind.
  if (radio.is === 'keyed')
    return { ...radio, keyed: { ...radio.keyed, claimedW: PRACTICE_W, levelId: PRACTICE_LEVEL } }
  if (radio.is !== 'hears') return radio
  // A generator without the tone never opens a radio that waits for it.
  if (toneSquelch) return { is: 'off' }
  const isAway = dualWatch && looks % WATCHES_ONE_IN === 0
  return isAway ? { ...radio, channelHz: radio.channelHz + OTHER_CHANNEL_HZ } : radio
}

function truePlug(world: PracticeWorld, hands: Hands, { chain, instrument }: Plug): Plug {
  const offsetDb = hands.offsetDb[instrument.id]
  const isAnalyser = instrument.kind === 'spectrum-analyser'
  const extraDb = hands.extraPad && isAnalyser ? EXTRA_PAD_DB : 0
  const parts = chain.parts.map(part => truePart(world, part))
  return {
    chain: {
      ...chain,
      parts: parts.map((part, i) => lossier(part, i === 0 ? extraDb : 0)),
      offsetOnInstrumentDb: offsetDb ?? 0,
    },
    instrument: trueInstrument(world, hands, instrument),
  }
}

/** A part as it was when the evening began, whatever its card says by now; one that was added is as it says. */
function truePart({ review, lossErrorDb, loadBearsW }: PracticeWorld, part: Part): Part {
  const left = review.chains.flatMap(({ parts }) => parts).find(({ id }) => id === part.id) ?? part
  const bears = part.id === PRACTICE_IDS.load && loadBearsW !== null ? { ...left, ratingW: loadBearsW } : left
  return lossier(bears, lossErrorDb[part.id] ?? 0)
}

/** An instrument as it was found, with what was found out of it but the words on its knob. */
function trueInstrument(world: PracticeWorld, hands: Hands, card: Plug['instrument']): Plug['instrument'] {
  const found = world.review.instruments.find(({ id }) => id === card.id) ?? card
  if (found.kind === 'spectrum-analyser' && hands.preamplifier)
    return { ...found, overloadDbm: found.overloadDbm - PREAMPLIFIER_DB }
  if (found.kind !== 'signal-generator' || card.kind !== 'signal-generator') return found
  const { noiseDbcPerHz } = world.generator
  const phaseNoise =
    noiseDbcPerHz === null ? found.phaseNoise : [{ offsetHz: 12_500, dbcPerHz: noiseDbcPerHz }]
  return { ...found, voltageIs: card.voltageIs, phaseNoise }
}

function lossier(part: Part, byDb: number): Part {
  if (byDb === 0) return part
  switch (part.loss.kind) {
    case 'figure':
      return { ...part, loss: { ...part.loss, lossDb: part.loss.lossDb + byDb } }
    case 'table':
      return {
        ...part,
        loss: { ...part.loss, points: part.loss.points.map(one => ({ ...one, lossDb: one.lossDb + byDb })) },
      }
    case 'coax':
      return part
  }
}

/** A chain as it really is, whatever its cards say. */
export function trueChain(world: PracticeWorld, chain: Chain): Chain {
  return { ...chain, parts: chain.parts.map(part => truePart(world, part)) }
}
