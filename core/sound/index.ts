export { MOST_CLIP_S, type PreparedClip } from './clip'
export { wavOf, type WavOfSound } from './wavOf'
