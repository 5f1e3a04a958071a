import { printMhzFigure } from '#core/quantity'
import {
  type Band,
  type Channel,
  newBand,
  newChannel,
  newLevel,
  type PowerClaim,
  type PowerLevel,
  type RadioSet,
  removeBand,
  removeChannel,
  removeLevel,
} from '#core/review'
import { type RadioChanges, useRadioChanges } from './useRadioChanges'

const LEVEL_NAMES = ['High', 'Low', 'Middle']

/** Changes to a radio’s card: its bands, levels, channels and claims. */
export function useCardEdits(radio: () => RadioSet) {
  const changes = useRadioChanges(radio)
  return {
    changeBand: changes.changeBand,
    ...bandEdits(radio, changes),
    ...channelEdits(radio, changes),
    ...levelEdits(radio, changes),
  }
}

function bandEdits(radio: () => RadioSet, { change, changeBand, drop }: RadioChanges) {
  return {
    addBand(name: string): void {
      change(`the band ${name}`, draft => {
        const levelIds = draft.levels.map(({ id }) => id)
        draft.bands.push(newBand({ id: crypto.randomUUID(), name, levelIds }))
      })
    },

    nameBand(bandId: string, name: string): void {
      changeBand('a band’s name', bandId, draft => {
        draft.name = name
      })
    },

    claim(bandId: string, levelId: string, claim: PowerClaim): void {
      changeBand('a claim', bandId, draft => {
        draft.claims[levelId] = claim
      })
    },

    dropBand({ id: bandId, name }: Band): void {
      drop(`The band ${name}`, draft => removeBand(draft, { setId: radio().id, bandId }))
    },
  }
}

function channelEdits(radio: () => RadioSet, { changeBand, drop }: RadioChanges) {
  return {
    addChannel(bandId: string, channel: { name: string; frequencyHz: number }): void {
      changeBand('a channel', bandId, draft => {
        const harmonics = draft.channels.length === 0
        draft.channels.push(newChannel({ id: crypto.randomUUID(), harmonics, ...channel }))
      })
    },

    measureHarmonics(bandId: string, channelId: string, wanted: boolean): void {
      changeBand('harmonics on a channel', bandId, draft => {
        const channel = draft.channels.find(({ id }) => id === channelId)
        if (channel) channel.harmonics = wanted
      })
    },

    dropChannel({ id: bandId }: Band, { id: channelId, frequencyHz }: Channel): void {
      const place = { setId: radio().id, bandId, channelId }
      drop(`The channel ${printMhzFigure(frequencyHz)}`, draft => removeChannel(draft, place))
    },
  }
}

function levelEdits(radio: () => RadioSet, { change, drop }: RadioChanges) {
  return {
    addLevel(): void {
      const { levels } = radio()
      const taken = new Set(levels.map(({ name }) => name.toLowerCase()))
      const free = LEVEL_NAMES.find(name => !taken.has(name.toLowerCase()))
      const id = crypto.randomUUID()
      change('a power level', draft => {
        draft.levels.push(newLevel(id, free ?? `Level ${levels.length + 1}`))
        for (const band of draft.bands) band.claims[id] = { kind: 'not-said' }
      })
    },

    nameLevel(levelId: string, name: string): void {
      change('a level’s name', draft => {
        const level = draft.levels.find(({ id }) => id === levelId)
        if (level) level.name = name
      })
    },

    dropLevel({ id: levelId, name }: PowerLevel): void {
      drop(`The level ${name}`, draft => removeLevel(draft, { setId: radio().id, levelId }))
    },
  }
}
