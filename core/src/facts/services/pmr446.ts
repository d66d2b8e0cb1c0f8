import type { ServiceTable } from './service';

/*
 * PMR446. Source: ECC/DEC/(15)05: 446.0-446.2 MHz, sixteen 12.5 kHz channels, 500 mW ERP, integral antenna, no repeaters.
 * From memory. The rule is the raster itself: 446.00625 MHz + 12.5 kHz x (n - 1).
 */
export const PMR446: ServiceTable = {
  id: 'pmr446',
  country: 'EU',
  citation: 'ECC/DEC/(15)05',
  powerCitation: 'ECC/DEC/(15)05',
  licence: 'none',
  licenceCitation: 'ECC/DEC/(15)05',
  modes: ['FM', 'digital'],
  modesCitation: 'ECC/DEC/(15)05',
  certification: true,
  certificationCitation: 'ECC/DEC/(15)05',
  repeaters: false,
  identifyEveryMinutes: null,
  identifyCitation: '',
  words: ['pmr', 'pmr446'],
  channels: Array.from({ length: 16 }, (_, k) => ({
    number: String(k + 1),
    name: `PMR ${k + 1}`,
    receiveHz: 446_006_250 + 12_500 * k,
    transmitHz: 446_006_250 + 12_500 * k,
    maxPowerW: 0.5,
    powerBasis: 'erp',
    bandwidthHz: 12_500,
    handHeldOnly: true,
  })),
};
