/** How a power limit is measured: at the transmitter's output, or as effective radiated power. */
export type PowerBasis = 'transmitter' | 'erp';

/** One channel of a published service table. */
export interface ServiceChannel {
  /** The service's own channel number; a repeater pair carries the number of its output and `pair: true`. */
  readonly number: number;
  readonly pair: boolean;
  readonly name: string;
  readonly receiveHz: number;
  /** `null` where nobody here may transmit. */
  readonly transmitHz: number | null;
  readonly maxPowerW: number | null;
  readonly powerBasis: PowerBasis | null;
  readonly bandwidthHz: number;
  readonly handHeldOnly: boolean;
}

/** A radio service: its channels with citations. */
export interface Service {
  readonly id: ServiceId;
  readonly title: string;
  readonly country: 'US';
  readonly citation: string;
  readonly channels: readonly ServiceChannel[];
}

/** The services the first tables cover. */
export const SERVICE_IDS = ['gmrs', 'frs', 'weather'] as const;
export type ServiceId = (typeof SERVICE_IDS)[number];
