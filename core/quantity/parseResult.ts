/** The text could not be taken as it stands. `offers` are texts that would be, to choose from. */
export interface ParseRefusal {
  ok: false
  message: string
  offers: string[]
}

/** Shorthand for a refusal. */
export function refuse(message: string, offers: string[] = []): ParseRefusal {
  return { ok: false, message, offers }
}
