/** What is said of what comes in and is kept: documents, tables, directories, stations. */
export type DocumentFinding =
  | { readonly code: 'document-not-json'; readonly detail: string }
  | { readonly code: 'file-unreadable'; readonly detail: string }
  | { readonly code: 'document-shape'; readonly detail: string }
  | { readonly code: 'document-format'; readonly wanted: string; readonly found: string }
  | { readonly code: 'duplicate-id'; readonly id: string }
  | { readonly code: 'dangling-reference'; readonly what: string; readonly id: string }
  /** A group that is to go still has channels. */
  | { readonly code: 'group-has-channels'; readonly groupId: string }
  // publishing and loading
  /** Something stops a draft, and nobody overruled it. */
  | { readonly code: 'publish-stopped'; readonly words: string }
  | { readonly code: 'sheet-not-ready'; readonly nickname: string }
  // the directory
  | { readonly code: 'directory-not-set' }
  | { readonly code: 'directory-no-answer'; readonly detail: string }
  | { readonly code: 'place-not-found'; readonly place: string }
  // the roster
  | {
      readonly code: 'cell-unreadable';
      readonly line: number;
      readonly column: string;
      readonly value: string;
      readonly wanted: string;
    }
  | { readonly code: 'row-twice'; readonly line: number; readonly like: string }
  // stations
  | { readonly code: 'facts-disagree'; readonly field: string; readonly values: string }
  | { readonly code: 'fact-old'; readonly field: string; readonly on: string }
  | { readonly code: 'fact-missing'; readonly field: string }
  | { readonly code: 'permission-missing' }
  | { readonly code: 'permission-waiting'; readonly since: string }
  | { readonly code: 'permission-refused' }
  | { readonly code: 'permission-over'; readonly expires: string }
  | { readonly code: 'permission-ends-soon'; readonly expires: string }
  | { readonly code: 'station-not-on-air'; readonly status: string };
