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
  type Review,
} from '#core/review'

const LEVEL_NAMES = ['High', 'Low', 'Middle']

/** Changes to a radio’s card: its bands, levels, channels and claims. */
export function useCardEdits(radio: () => RadioSet) {
  const store = useReviewStore()
  const ui = useUiStore()

  function change(label: string, recipe: (draft: RadioSet) => void): boolean {
    return store.change(label, draft => {
      const found = draft.sets.find(({ id }) => id === radio().id)
      if (found) recipe(found)
    })
  }

  function changeBand(label: string, bandId: string, recipe: (draft: Band) => void): boolean {
    return change(label, draft => {
      const band = draft.bands.find(({ id }) => id === bandId)
      if (band) recipe(band)
    })
  }

  /** Takes something off the card with whatever was read there, and says how many readings went with it. */
  function drop(what: string, recipe: (draft: Review) => void): void {
    const before = store.review?.readings.length ?? 0
    if (!store.change(`${what} removed`, recipe)) return
    const gone = before - (store.review?.readings.length ?? 0)
    if (gone > 0)
      ui.say(`${what} and the ${gone} readings taken there are gone.`, { label: 'Undo', run: store.undo })
  }

  return {
    changeBand,

    nameLevel(levelId: string, name: string): void {
      change('a level’s name', draft => {
        const level = draft.levels.find(({ id }) => id === levelId)
        if (level) level.name = name
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

    measureHarmonics(bandId: string, channelId: string, wanted: boolean): void {
      changeBand('harmonics on a channel', bandId, draft => {
        const channel = draft.channels.find(({ id }) => id === channelId)
        if (channel) channel.harmonics = wanted
      })
    },

    addBand(name: string): void {
      change(`the band ${name}`, draft => {
        const levelIds = draft.levels.map(({ id }) => id)
        draft.bands.push(newBand({ id: crypto.randomUUID(), name, levelIds }))
      })
    },

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

    addChannel(bandId: string, of: { name: string; frequencyHz: number }): void {
      changeBand('a channel', bandId, draft => {
        const harmonics = draft.channels.length === 0
        draft.channels.push(newChannel({ id: crypto.randomUUID(), harmonics, ...of }))
      })
    },

    dropLevel({ id: levelId, name }: PowerLevel): void {
      drop(`The level ${name}`, draft => removeLevel(draft, { setId: radio().id, levelId }))
    },

    dropBand({ id: bandId, name }: Band): void {
      drop(`The band ${name}`, draft => removeBand(draft, { setId: radio().id, bandId }))
    },

    dropChannel({ id: bandId }: Band, { id: channelId, frequencyHz }: Channel): void {
      const place = { setId: radio().id, bandId, channelId }
      drop(`The channel ${printMhzFigure(frequencyHz)}`, draft => removeChannel(draft, place))
    },
  }
}
