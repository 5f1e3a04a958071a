import { enScore } from '../decision'
import { fewNames } from '../review'
import { algorithmA, type Consensus } from './algorithmA'
import type { PastFigure, PastRadio } from './figures'

/** One bench’s figure beside the same of another. */
export interface BenchPair {
  key: string
  title: string
  ours: PastFigure
  theirs: PastFigure
  /** null where one of them is only an upper bound. */
  en: number | null
  words: string
}

/** What two units of one model came to on two benches. */
export interface BenchComparison {
  ours: PastRadio
  theirs: PastRadio
  pairs: BenchPair[]
  /** What differs besides the bench, in words. */
  besides: string[]
}

const sameModel = (a: PastRadio, b: PastRadio) =>
  a.model.trim() !== '' &&
  a.make.trim().toLowerCase() === b.make.trim().toLowerCase() &&
  a.model.trim().toLowerCase() === b.model.trim().toLowerCase()

/** Radios of two reviews that are of one model, figure by figure (E_n of ISO 13528, from memory). */
export function compareBenches(ours: readonly PastRadio[], theirs: readonly PastRadio[]): BenchComparison[] {
  return ours.flatMap(one =>
    theirs
      .filter(other => sameModel(one, other))
      .map(other => ({
        ours: one,
        theirs: other,
        pairs: pairsOf(one, other),
        besides: besidesOf(one, other),
      })),
  )
}

function pairsOf(ours: PastRadio, theirs: PastRadio): BenchPair[] {
  return ours.figures.flatMap(own => {
    const other = theirs.figures.find(({ key, unit }) => key === own.key && unit === own.unit)
    if (!other) return []
    const isBound = own.isUpperBound || other.isUpperBound
    const isOpen = own.range > 0 || other.range > 0
    const en =
      isBound || !isOpen
        ? null
        : enScore({ value: own.value, expanded: own.range }, { value: other.value, expanded: other.range }).en
    return [{ key: own.key, title: own.title, ours: own, theirs: other, en, words: pairWords(en, isBound) }]
  })
}

function pairWords(en: number | null, isBound: boolean): string {
  if (isBound) return 'one of them is only an upper bound'
  if (en === null) return 'neither says how sure it is'
  return `E_n ${Math.abs(en).toFixed(2)}: ${Math.abs(en) <= 1 ? 'they agree' : 'they disagree'}`
}

function besidesOf(a: PastRadio, b: PastRadio): string[] {
  const differs: [string, string, string][] = [
    ['sample', a.sample, b.sample],
    ['firmware', a.firmware, b.firmware],
  ]
  const plain = differs
    .filter(([, one, other]) => one !== other)
    .map(([what, one, other]) => `${what} ${one || 'not said'} here, ${other || 'not said'} there`)
  const here = a.readWith.filter(one => !b.readWith.includes(one))
  const there = b.readWith.filter(one => !a.readWith.includes(one))
  return [
    ...plain,
    ...(here.length > 0 ? [`read here with ${fewNames(here)}`] : []),
    ...(there.length > 0 ? [`read there with ${fewNames(there)}`] : []),
  ]
}

/** One figure as several benches have it. */
export interface BenchConsensus {
  key: string
  title: string
  unit: PastFigure['unit']
  consensus: Consensus
  benches: { radio: PastRadio; figure: PastFigure; en: number; isOff: boolean }[]
}

/** Benches that must have read a figure before there is a consensus. */
const LEAST_BENCHES = 3

/** What three and more benches say together of a model, figure by figure, and who is off. */
export function consensusOf(radios: readonly PastRadio[]): BenchConsensus[] {
  const keys = [...new Set(radios.flatMap(({ figures }) => figures.map(({ key }) => key)))]
  return keys.flatMap(key => {
    const members = onePerBench(radios, key)
    if (members.length < LEAST_BENCHES) return []
    const consensus = algorithmA(members.map(({ figure }) => figure.value))
    const { title, unit } = members[0]!.figure
    return [
      {
        ...{ key, title, unit, consensus },
        benches: members.map(({ radio, figure }) => {
          const en =
            (figure.value - consensus.mean) / Math.hypot(figure.range, 2 * consensus.meanUncertainty) || 0
          return { radio, figure, en, isOff: Math.abs(en) > 1 }
        }),
      },
    ]
  })
}

/** Of a bench that read several units the first: units of one bench are no benches. */
function onePerBench(radios: readonly PastRadio[], key: string): { radio: PastRadio; figure: PastFigure }[] {
  const seen = new Set<string>()
  return radios.flatMap(radio => {
    const figure = radio.figures.find(one => one.key === key && !one.isUpperBound)
    if (!figure || seen.has(radio.reviewId)) return []
    seen.add(radio.reviewId)
    return [{ radio, figure }]
  })
}
