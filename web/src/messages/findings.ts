import type { Finding } from '@umbrex/core/findings';
import { AIR_WORDS } from './airFindings';
import { FIT_WORDS } from './fitFindings';
import { PLAN_WORDS } from './planFindings';
import { SHEET_WORDS } from './sheetFindings';
import type { FindingText, Words } from './words';

const WORDS: Words = {
  ...FIT_WORDS,
  'file-unreadable': (f) => ({
    what: 'The file cannot be read.',
    more: f.detail,
    help: 'Check the path and its rights.',
  }),
  'document-not-json': (f) => ({
    what: 'This is no JSON document.',
    more: f.detail,
    help: 'Take the file as it was exported, not a copy from a mail or a web page.',
  }),
  'document-shape': (f) => ({
    what: `${f.path || 'The whole'}: ${f.detail}.`,
    help: 'Mend it there, then bring it in again.',
  }),
  'document-format': (f) => ({
    what: `The document says format “${f.found}”, and ${f.wanted} is needed.`,
    help: 'Choose a file of the right kind.',
  }),
  'duplicate-id': (f) => ({ what: `The id ${f.id} is used twice.`, help: 'Give one of the two another id.' }),
  'group-has-channels': () => ({
    what: 'A group that still has channels cannot go.',
    help: 'Put its channels into another group first.',
  }),
  'publish-stopped': (f) => ({
    what: f.words,
    help: 'Mend it, or say why the plan is published all the same.',
  }),
  'sheet-not-ready': (f) => ({
    what: `The sheet of ${f.nickname} is not ready: it cannot have been loaded by it.`,
    help: 'Look at its sheet; what stands in the way is said there.',
  }),
  'dangling-reference': (f) => ({
    what: `There is no ${f.what} ${f.id}.`,
    help: `Name a ${f.what} that is there.`,
  }),
  'record-has-keys': () => ({
    what: 'The keys of this kind of set are described already.',
    help: 'Save its description under another id, and record the steps there.',
  }),
  'record-keys': (f) => ({
    what: `“${f.keys}” cannot be read as keys.`,
    help: 'Write the legends with spaces between, x3 after a key that was pressed three times, (2 s) after one that was held.',
  }),
  'record-value': (f) => ({
    what: `“${f.value || 'Nothing'}” is nothing that this kind of set has there.`,
    help: 'Write it as the set shows it, a frequency in MHz.',
  }),
  'record-not-spelled': (f) => ({
    what: `No line of these keys spells ${f.goal}.`,
    help: 'Type it, or turn a key to it by as many presses as lie between, on a line of its own. Turn forward if you can.',
  }),
  'record-ambiguous': (f) => ({
    what: `Several of these lines could be the one that comes to ${f.goal}.`,
    help: 'Write beside the right one what the set shows after it.',
  }),
  'record-shows': (f) => ({
    what: `After this line the set showed “${f.wanted}”; by the lines so far it would show “${f.found}”.`,
    help: 'Write only what surely stands there, or leave it empty; begin and end every task at rest.',
  }),
  'record-first-missing': (f) => ({
    what: `“${f.what}” was not there the first time: nothing was learnt of it that could be tried.`,
    help: 'Record it above first, or leave it out here.',
  }),
  'record-not-kept': (f) => ({
    what: `By these lines the set would not keep ${f.wanted}${f.found ? `, but ${f.found}` : ''}.`,
    help: 'Add the key that takes the value.',
  }),
  ...PLAN_WORDS,
  ...SHEET_WORDS,
  ...AIR_WORDS,
};

/** The words for a finding; the only place for sentences about findings. */
export function findingText(finding: Finding): FindingText {
  const words = WORDS[finding.code] as (f: Finding) => FindingText;
  return words(finding);
}
