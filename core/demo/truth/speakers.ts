import { speakerResponse, type VirtualSpeaker } from '../../virtual'

/** What comes out of the demo’s speakers, by set (invented). */
export const speakerTruth: Readonly<Record<string, VirtualSpeaker>> = {
  'trek-a': {
    ratedV: 1.87,
    usualV: 0.62,
    humDb: -38.8,
    responseDb: speakerResponse({ lowHz: 290, highHz: 3600 }),
  },
}
