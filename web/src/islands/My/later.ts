import { ASTRAY_URL } from '../../workers/astrayClient';

/** What a card loads only when it is asked for; named here, so that it is kept beside the rest. */
export const LATER: readonly string[] = [ASTRAY_URL];
