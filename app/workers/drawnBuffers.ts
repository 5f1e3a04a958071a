import type { DrawnPart } from '#core/uncertainty'

/** What of a drawn part is handed over between page and worker, and not copied. */
export const drawnBuffers = ({ lower, upper }: DrawnPart): ArrayBuffer[] => [
  lower.buffer as ArrayBuffer,
  upper.buffer as ArrayBuffer,
]
