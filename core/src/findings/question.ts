/**
 * Something a line of text leaves open. `blocking` ones must be answered before a draft is saved; the others state what
 * was assumed. `offers` are possible readings, never taken by themselves; `lines[i]` is the whole line with offer i put in.
 */
export interface Question {
  readonly code: QuestionCode;
  readonly blocking: boolean;
  /** The words of the line that raised it. */
  readonly about: string;
  readonly offers: readonly string[];
  readonly lines?: readonly string[];
  /** What there is instead, in words: the range of a service. */
  readonly has?: string;
  /** What of the channel is open until it is answered: the draft has one of what may be meant. */
  readonly of?: 'mode' | 'width' | 'access' | 'state';
}

/** By what a question is known. */
export type QuestionCode =
  | 'nothing-written'
  | 'no-frequency'
  | 'line-too-long'
  | 'several-frequencies'
  | 'tone-in-mhz'
  | 'tone-in-khz'
  | 'tone-not-standard'
  | 'tone-rare'
  | 'tone-or-frequency'
  | 'tone-or-dcs'
  | 'tone-missing'
  | 'tone-unreadable'
  | 'several-tones'
  | 'tone-direction'
  | 'tone-both-ways'
  | 'dcs-polarity'
  | 'dcs-not-in-use'
  | 'code-number'
  | 'frequency-is-input'
  | 'input-output-swapped'
  | 'frequency-off-channel'
  | 'frequency-unreadable'
  | 'frequency-out-of-range'
  | 'channel-or-code'
  | 'no-such-channel'
  | 'no-repeater-here'
  | 'pair-does-not-match'
  | 'direct-or-repeater'
  | 'repeater-by-direction'
  | 'input-tone-unknown'
  | 'output-tone-unknown'
  | 'service-unknown'
  | 'whose-unknown'
  | 'transmit-unknown'
  | 'nobody-transmits'
  | 'listen-unless-licensed'
  | 'service-elsewhere'
  | 'channel-of-what'
  | 'place-of-set'
  | 'place-not-there'
  | 'place-is-free'
  | 'place-of-several'
  | 'place-contradicts'
  | 'usual-offset'
  | 'word-contradicts'
  | 'offset-unusual'
  | 'usual-pair'
  | 'left-over'
  | 'remark-kept'
  | 'mode-outside'
  | 'digital-mode'
  | 'says-two'
  | 'name-made'
  | 'name-shortened'
  | 'entry-undated'
  | 'entry-old'
  | 'entry-not-on-air'
  | 'entry-closed'
  | 'entry-claims-range'
  | 'entry-in-plan'
  | 'entry-disagrees'
  | 'heard-nothing'
  | 'heard-who'
  | 'heard-who-talked'
  | 'heard-who-listened'
  | 'heard-direction'
  | 'heard-which-set'
  | 'heard-set-of-holder'
  | 'heard-no-set'
  | 'heard-channel'
  | 'heard-channel-kept'
  | 'heard-several-channels'
  | 'heard-no-repeater'
  | 'heard-or-not'
  | 'heard-place-number'
  | 'heard-place-channel'
  | 'heard-channel-of'
  | 'heard-contradicts'
  | 'heard-several-reports'
  | 'heard-quote'
  | 'heard-scale'
  | 'heard-time'
  | 'heard-time-ahead'
  | 'heard-same'
  | 'heard-left-over';
