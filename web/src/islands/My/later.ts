/** What a card loads only when it is asked for; named in one place, so that it is kept beside the rest. */
export {};
