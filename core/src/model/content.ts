import type { ToneText } from './tone';

/**
 * What a slot does on the air, in plan terms. A key is absent where the device has nothing that decides it (a set without
 * names has no `name`).
 */
export interface SlotContent {
  /** 0 where the place holds no frequency, but an area code. */
  readonly receiveHz: number;
  /** `null` when pressing talk sends nothing. */
  readonly transmitHz: number | null;
  readonly transmitTone?: ToneText;
  readonly receiveTone?: ToneText;
  readonly name?: string;
  readonly powerW?: number;
  readonly bandwidth?: string;
  /** Six digits, as an alert radio waits for them. */
  readonly areaCode?: string;
}
