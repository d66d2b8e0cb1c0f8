import { ASTRAY_URL } from '../../workers/astrayClient';
import { FOREIGN_URL } from '../../workers/foreignClient';

/** What a card loads only when it is asked for; named here, so that it is kept beside the rest. */
export const LATER: readonly string[] = [ASTRAY_URL, FOREIGN_URL];
