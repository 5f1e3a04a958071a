import {
  begun,
  guessAnswer,
  type GuessedAnswer,
  PHRASE_NAMES,
  type Phrase,
  type PhraseAnswer,
  type Phrasebook,
  type PhraseName,
  phrasebooks,
  phrasebookSchema,
  type Place,
  PLACES,
  speak,
} from '#core/link'
import { plainWords } from '~/errors/plainWords'
import { useLinks } from '~/link/links'
import { teachLine } from '~/link/teachLine'

/** What the places of a line are filled with while it is tried. */
const TRIED_WITH: Readonly<Record<Place, number>> = {
  frequencyHz: 146.52e6,
  centreHz: 146.52e6,
  levelDbm: -120,
  spanHz: 100e3,
  bandwidthHz: 10e3,
  deviationHz: 1500,
  toneHz: 1000,
  points: 1001,
}

/** The unit a phrase’s figure is likely in: that of the plain phrasebook that knows it. */
function likelyUnit(name: PhraseName): PhraseAnswer['unit'] | null {
  return phrasebooks.find(book => book.phrases[name])?.phrases[name]?.answer?.unit ?? null
}

/** What trying a phrase came to. */
export type Tried =
  | { is: 'not-yet' }
  /** With the first number it reads as, as the phrase stands. */
  | { is: 'answered'; guess: GuessedAnswer; first: number | null }
  | { is: 'done' }
  | { is: 'failed'; words: string }

/** Teaches a phrasebook one phrase: a line is sent, its answer shown, and the phrase built from it. */
export function useTeaching(book: () => Phrasebook, linkId: string) {
  const { links, virtualSeed } = useLinks()
  const name = ref<PhraseName>('read-power')
  const lines = ref('')
  const waitMs = ref(0)
  const unit = ref<PhraseAnswer['unit']>('dBm')
  const scale = ref(1)
  const pick = ref<number | null>(null)
  /** What is said of the whole instrument: lists as lines of text. */
  const whole = reactive({
    title: book().title,
    note: book().note,
    lineEnd: book().lineEnd,
    begin: book().begin.join('\n'),
    safe: book().safe.join('\n'),
    identify: book().identify,
    nextError: book().nextError,
  })
  const tried = shallowRef<Tried>({ is: 'not-yet' })
  const isBusy = ref(false)
  const guess = computed(() => (tried.value.is === 'answered' ? tried.value.guess : null))
  const asks = computed(() => name.value.startsWith('read-'))

  watch(
    name,
    next => {
      const known = book().phrases[next]
      lines.value = known?.send.join('\n') ?? ''
      waitMs.value = known?.waitMs ?? 0
      unit.value = known?.answer?.unit ?? likelyUnit(next) ?? 'dBm'
      scale.value = known?.answer?.scale ?? 1
      pick.value = known?.answer?.pick ?? null
      tried.value = { is: 'not-yet' }
    },
    { immediate: true },
  )

  const linesIn = (text: string) =>
    text
      .split('\n')
      .map(line => line.trim())
      .filter(line => line !== '')
  const sent = () => linesIn(lines.value)

  /** The phrase as it would be kept; its answer by what came, or by what is known of it. */
  const phrase = computed<Phrase>(() => ({
    send: sent(),
    waitMs: waitMs.value,
    answer: asks.value
      ? {
          form: guess.value?.form ?? book().phrases[name.value]?.answer?.form ?? 'number',
          unit: unit.value,
          scale: scale.value,
          pick: guess.value?.form === 'number' ? null : pick.value,
          packed: guess.value?.packed ?? null,
        }
      : null,
  }))

  function taught(): Phrasebook {
    const { [name.value]: _before, ...others } = book().phrases
    const phrases = sent().length === 0 ? others : { ...others, [name.value]: phrase.value }
    const { begin, safe, ...rest } = whole
    return { ...book(), ...rest, begin: linesIn(begin), safe: linesIn(safe), phrases }
  }

  const refusal = computed(() => {
    const { error } = phrasebookSchema.validate(taught(), { convert: false })
    if (!error) return ''
    return `Plain characters on each line; places in braces are ${PLACES.map(place => `{${place}}`).join(' ')}.`
  })

  async function send(): Promise<void> {
    const link = links.value[linkId]
    if (!link) return void (tried.value = { is: 'failed', words: 'Say first how it is reached.' })
    if (sent().length === 0) return void (tried.value = { is: 'failed', words: 'A line is wanted.' })
    if (refusal.value !== '') return void (tried.value = { is: 'failed', words: refusal.value })
    isBusy.value = true
    tried.value = await trying(link).catch(error => ({ is: 'failed' as const, words: plainWords(error) }))
    isBusy.value = false
  }

  async function trying(link: NonNullable<(typeof links.value)[string]>): Promise<Tried> {
    const line = begun(teachLine(link, taught(), virtualSeed.value), taught())
    let raw: Uint8Array | null = null
    const listening = {
      ...line,
      query: async (text: string, form: 'line' | 'block') => {
        const bytes = await line.query(text, form)
        raw ??= bytes
        return bytes
      },
    }
    const result = await speak(listening, { book: taught(), name: name.value, values: TRIED_WITH })
    if (result.is === 'error')
      return { is: 'failed', words: `It says ${result.error.code}, ${result.error.words}.` }
    if (raw === null || !asks.value) return { is: 'done' }
    const first = result.is === 'heard' ? (result.heard.values[0] ?? null) : null
    return { is: 'answered', guess: guessAnswer(raw), first }
  }

  const reads = computed(() => {
    if (!guess.value) return ''
    const { count, form, shown } = guess.value
    if (form === null) return `It answered “${shown}”: words, no number.`
    const what = count === 1 ? 'a number' : `${count} numbers`
    const first = tried.value.is === 'answered' ? tried.value.first : null
    const as = first === null ? '' : ` It reads as ${Number(first.toPrecision(6))} ${unit.value}.`
    return `It answered ${form === 'block' ? shown : `“${shown}”`}: ${what}.${as}`
  })

  return {
    ...{ name, lines, waitMs, unit, scale, pick, tried, guess, asks, isBusy, refusal, reads },
    ...{ whole, names: PHRASE_NAMES, send, taught },
  }
}
