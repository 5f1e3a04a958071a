import { describe, expect, it } from 'vitest'
import type { Band, RadioSet } from '#core/review'
import { carrierFacts } from '#core/step/carrierFacts'
import { radio } from '../../support/bench'

const LEVELS = [
  { id: 'high', name: 'High' },
  { id: 'mid', name: 'Mid' },
  { id: 'low', name: 'Low' },
]
const watts = (powerW: number) => ({ kind: 'watts' as const, powerW })

function ranksOf(levels: RadioSet['levels'], claims: Band['claims'], ids = ['high', 'mid', 'low']) {
  const set = radio({ levels })
  const band = { ...set.bands[0]!, claims }
  return ids.map(id => {
    const setting = { level: levels.find(level => level.id === id)!, spacingHz: null }
    return carrierFacts({ set, band, channel: band.channels[0]!, setting }, 5).level
  })
}

describe('the level of a step among those its band has', () => {
  it('is told by what is claimed, whatever order the card has', () => {
    const claims = { high: watts(0.1), mid: watts(5), low: watts(1) }
    expect(ranksOf(LEVELS, claims)).toEqual(['lowest', 'highest', 'between'])
    // Asked again, and of the same claims beside levels in another order.
    expect(ranksOf(LEVELS, claims)).toEqual(['lowest', 'highest', 'between'])
    expect(ranksOf([...LEVELS].reverse(), claims)).toEqual(['lowest', 'highest', 'between'])
  })

  it('is told by the card’s order where the maker does not say of one, also of claims that were seen before', () => {
    const claims = { high: watts(1), mid: { kind: 'not-said' as const }, low: watts(5) }
    expect(ranksOf(LEVELS, claims)).toEqual(['highest', 'between', 'lowest'])
    expect(ranksOf([...LEVELS].reverse(), claims)).toEqual(['lowest', 'between', 'highest'])
    expect(ranksOf(LEVELS, claims)).toEqual(['highest', 'between', 'lowest'])
  })

  it('does not count a level the band does not have; a single one is the highest', () => {
    const claims = { high: { kind: 'no-level' as const }, mid: watts(1), low: watts(5) }
    expect(ranksOf(LEVELS, claims, ['mid', 'low'])).toEqual(['lowest', 'highest'])
    expect(ranksOf(LEVELS, { low: watts(0.5) }, ['low'])).toEqual(['highest'])
  })

  it('follows claims that were put in the place of others', () => {
    const claims = { high: watts(5), mid: watts(2), low: watts(1) }
    expect(ranksOf(LEVELS, claims)).toEqual(['highest', 'between', 'lowest'])
    expect(ranksOf(LEVELS, { ...claims, low: watts(10) })).toEqual(['between', 'lowest', 'highest'])
  })

  it('is not said of a place without a level', () => {
    const set = radio()
    const band = set.bands[0]!
    const facts = carrierFacts({ set, band, channel: band.channels[0]! }, 2)
    expect(facts.level).toBeUndefined()
    expect([facts.powerW, facts.frequencyHz, facts.kind]).toEqual([2, 146.52e6, set.kind])
  })
})
