import type { Phrase, PhraseAnswer, Phrasebook } from './types'

const number = (unit: PhraseAnswer['unit'], scale = 1): PhraseAnswer => ({
  form: 'number',
  ...{ unit, scale, pick: null, packed: null },
})
const ask = (send: string | string[], answer: PhraseAnswer, waitMs = 0): Phrase => ({
  send: [send].flat(),
  ...{ answer, waitMs },
})
const tell = (...send: string[]): Phrase => ({ send, answer: null, waitMs: 0 })

const plain = (
  book: Pick<Phrasebook, 'id' | 'title' | 'kind' | 'phrases'> & Partial<Phrasebook>,
): Phrasebook => ({
  note:
    'Commands of SCPI-99 as the standard has them. Your instrument’s manual decides: ' +
    'copy it and change what differs.',
  lineEnd: '\n',
  begin: ['*CLS'],
  safe: [],
  identify: '*IDN?',
  nextError: 'SYSTem:ERRor?',
  ...book,
})

/** One “plain SCPI” for each kind; none is of a maker. Commands from memory of SCPI-99. */
export const phrasebooks: readonly Phrasebook[] = [
  plain({
    id: 'plain-power-meter',
    title: 'Plain SCPI: power meter',
    kind: 'power-meter',
    begin: ['*CLS', 'UNIT:POWer DBM'],
    phrases: {
      'read-power': ask(['SENSe:FREQuency {frequencyHz}', 'MEASure:POWer:AC?'], number('dBm')),
    },
  }),
  plain({
    id: 'plain-analyser',
    title: 'Plain SCPI: spectrum analyser',
    kind: 'spectrum-analyser',
    begin: ['*CLS', 'FORMat:DATA ASCii'],
    phrases: {
      'read-level-at': ask(
        [
          'SENSe:FREQuency:CENTer {frequencyHz}',
          'SENSe:FREQuency:SPAN {spanHz}',
          'SENSe:BANDwidth:RESolution {bandwidthHz}',
          'INITiate:IMMediate;*WAI',
          'CALCulate:MARKer:MAXimum',
          'CALCulate:MARKer:Y?',
        ],
        number('dBm'),
      ),
      'read-trace': ask(
        [
          'SENSe:FREQuency:CENTer {centreHz}',
          'SENSe:FREQuency:SPAN {spanHz}',
          'SENSe:BANDwidth:RESolution {bandwidthHz}',
          'SENSe:SWEep:POINts {points}',
          'FORMat:DATA REAL,32',
          'INITiate:IMMediate;*WAI',
          'TRACe:DATA? TRACE1',
        ],
        { form: 'block', unit: 'dBm', scale: 1, pick: null, packed: 'float32' },
      ),
    },
  }),
  plain({
    id: 'plain-generator',
    title: 'Plain SCPI: signal generator',
    kind: 'signal-generator',
    begin: ['*CLS', 'OUTPut:STATe OFF'],
    safe: ['OUTPut:STATe OFF', 'SOURce:POWer:LEVel MINimum'],
    phrases: {
      'set-frequency': tell('SOURce:FREQuency:CW {frequencyHz}'),
      'set-level': tell('SOURce:POWer:LEVel {levelDbm} DBM'),
      'set-modulation': tell(
        'SOURce:FM:DEViation {deviationHz}',
        'SOURce:FM:INTernal:FREQuency {toneHz}',
        'SOURce:FM:STATe ON',
      ),
      'modulation-off': tell('SOURce:FM:STATe OFF'),
      'output-on': tell('OUTPut:STATe ON'),
      'output-off': tell('OUTPut:STATe OFF'),
    },
  }),
  plain({
    id: 'plain-audio-analyser',
    title: 'Plain SCPI: audio analyser',
    kind: 'audio-analyser',
    phrases: {
      'read-sinad': ask('MEASure:SINad?', number('dB')),
      'read-volts': ask('MEASure:VOLTage:AC?', number('V')),
    },
  }),
  plain({
    id: 'plain-supply',
    title: 'Plain SCPI: power supply',
    kind: 'supply',
    phrases: {
      'read-volts': ask('MEASure:VOLTage:DC?', number('V')),
      'read-amperes': ask('MEASure:CURRent:DC?', number('A')),
    },
  }),
  plain({
    id: 'plain-counter',
    title: 'Plain SCPI: counter',
    kind: 'counter',
    phrases: { 'read-frequency': ask('MEASure:FREQuency?', number('Hz'), 0) },
  }),
  plain({
    id: 'plain-antenna-analyser',
    title: 'Plain SCPI: antenna analyser',
    kind: 'antenna-analyser',
    note: 'SCPI-99 has no words for a VSWR: these are the virtual bench’s. Your instrument’s manual decides.',
    phrases: { 'read-vswr': ask(['SENSe:FREQuency {frequencyHz}', 'MEASure:SWR?'], number('VSWR')) },
  }),
  plain({
    id: 'plain-modulation-analyser',
    title: 'Plain SCPI: modulation analyser',
    kind: 'modulation-analyser',
    phrases: {
      'read-deviation': ask(['SENSe:FREQuency {frequencyHz}', 'MEASure:FM:DEViation?'], number('Hz')),
    },
  }),
]
