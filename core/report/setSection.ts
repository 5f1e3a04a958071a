import { receiverClaimWords } from '../hearing'
import type { Context } from '../context'
import type { ReportBlock, ReportSection } from '../document'
import { printClaimW } from '../quantity'
import {
  type Band,
  checkBatteryLabel,
  type PowerClaim,
  type PowerLevel,
  type RadioSet,
  setName,
} from '../review'
import { type Station, stationById, wantedStations } from '../station'
import { isRead, placeWords, type StepResult } from '../step'
import { keyedTogether } from './keyingSection'

/** One radio: its card, its claims, every reading with range and verdict, and what was not covered. */
export function setSection(set: RadioSet, context: Context, index: number): ReportSection {
  const ofStations = wantedStations(context).map(station => ({
    station,
    results: station.plan(set, context).map(step => station.evaluate(step, context)),
  }))
  const asked = ofStations.filter(({ station }) => !station.optional).flatMap(({ results }) => results)
  return {
    id: `set-${set.id}`,
    title: setName(set),
    newPage: index === 0 || undefined,
    blocks: [
      card(set),
      ...ofStations.flatMap(({ station, results }) => {
        const read = results.filter(({ slots }) => slots.some(isRead))
        return read.length > 0 ? [...plotsOf(station, set, context), ...station.report(read, context)] : []
      }),
      ...picturesOf(
        set,
        ofStations.flatMap(({ results }) => results),
        context,
      ),
      notCovered(asked),
    ],
  }
}

/** What the station draws of this radio by itself; of very many radios nothing is drawn: the report would not end. */
function plotsOf(station: Station, set: RadioSet, context: Context): ReportBlock[] {
  if (!keyedTogether(context.review.sets)) return []
  return (station.plots?.([set], context) ?? []).map(plot => ({ kind: 'plot', plot }))
}

/** The pictures kept with this radio’s steps. */
function picturesOf({ id }: RadioSet, results: readonly StepResult[], { review }: Context): ReportBlock[] {
  return review.pictures
    .filter(({ setId }) => setId === id)
    .map(({ id: pictureId, stepId, name, width, height, at }) => {
      const step = results.find(result => result.step.id === stepId)?.step
      const place = step ? `${stationById(step.stationId).title}, ${placeWords(step)}` : ''
      return {
        kind: 'picture',
        ...{ pictureId, width, height },
        caption: [place, name, at.slice(0, 10)].filter(Boolean).join(', '),
      }
    })
}

function card(set: RadioSet): ReportBlock {
  const battery = checkBatteryLabel(set.battery)
  const claims = set.bands.map(band => `${band.name}: ${claimsOf(band, set.levels).join(', ')}`)
  const receives = set.bands.flatMap(band =>
    band.receives.map(claim => `${band.name}: ${receiverClaimWords(claim)}`),
  )
  const rows: [string, string][] = [
    ['Role', set.role === 'control' ? 'control radio' : 'under test'],
    ['Serial', set.serial],
    ['Firmware', set.firmware],
    ['Price', set.price],
    ['How obtained', set.howObtained],
    ['In the box', set.inTheBox],
    ['Battery label', set.battery.voltageV === null && set.battery.energyWh === null ? '' : battery.words],
    ['Claimed power', claims.join('; ')],
    ['Claimed of its receiver', receives.join('; ')],
  ]
  return { kind: 'facts', rows: rows.map(([label, value]) => [label, value || 'not recorded']) }
}

function claimsOf(band: Band, levels: readonly PowerLevel[]): string[] {
  return levels.map(({ id, name }) => `${name} ${claimInWords(band.claims[id])}`)
}

function claimInWords(claim: PowerClaim | undefined): string {
  if (!claim || claim.kind === 'no-level') return 'none'
  return claim.kind === 'watts' ? printClaimW(claim.powerW) : 'the maker does not say'
}

function notCovered(results: readonly StepResult[]): ReportBlock {
  const items = results.flatMap(missingOf)
  return items.length > 0
    ? { kind: 'list', items: ['What was not covered, and is not called clean:', ...items] }
    : { kind: 'paragraph', text: 'Every planned reading was covered.' }
}

const UNREAD = 'Not measured yet.'

/** What one step leaves uncovered: a line for each reason. */
function missingOf({ step, slots }: StepResult): string[] {
  const missing = slots.filter(
    result => result.verdict.state === 'not-covered' && (isRead(result) || !result.slot.optional),
  )
  const reasons = [...new Set(missing.map(({ verdict }) => verdict.why ?? UNREAD))]
  const place = `${stationById(step.stationId).title}, ${placeWords(step)}`
  return reasons.map(why => {
    const labels = missing
      .filter(({ verdict }) => (verdict.why ?? UNREAD) === why)
      .map(({ slot }) => slot.label)
    return `${place}${slots.length > 1 ? ` (${labels.join(', ')})` : ''}: ${why}`
  })
}
