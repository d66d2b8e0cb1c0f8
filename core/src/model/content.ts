import type { ToneText } from './tone';

/**
 * What a slot does on the air, in plan terms. A key is absent where the device has nothing that decides it (a set without
 * names has no `name`).
 */
export interface SlotContent {
  readonly receiveHz: number;
  /** `null` when pressing talk sends nothing. */
  readonly transmitHz: number | null;
  readonly transmitTone?: ToneText;
  readonly receiveTone?: ToneText;
  readonly name?: string;
  readonly powerW?: number;
  readonly bandwidth?: string;
}
