import type { CameraFigure } from './cameraFigure'

/** What the window of a station and the camera's tell each other. */
export type CameraMessage = { is: 'figure'; figure: CameraFigure } | { is: 'hello' } | { is: 'gone' }

/** The channel between them, in one browser. */
export const cameraChannel = (): BroadcastChannel => new BroadcastChannel('rigorous-meter:camera')
