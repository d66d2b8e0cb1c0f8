import type { NextMove, Repair } from '@umbrex/core/check';

export const NEXT_TEXT: Readonly<Record<NextMove, { title: string; meaning: string }>> = {
  fix: { title: 'Mend', meaning: 'Programmed like this, somebody hears nothing or breaks a rule.' },
  ask: { title: 'Ask somebody', meaning: 'A fact or a permission is missing.' },
  look: { title: 'Look at', meaning: 'Right for some groups, wrong for others.' },
  know: { title: 'Good to know', meaning: 'Nothing to do.' },
};

export const REPAIR_TEXT: Readonly<Record<Repair['code'], string>> = {
  swap: 'Swap input and output',
  'listen-only': 'Only listen here',
  narrow: 'Set to narrow',
  'receive-tone-off': 'Leave the receive tone off',
  'tones-off': 'Leave the tones off',
  'as-said': 'Follow the list of stations',
};
