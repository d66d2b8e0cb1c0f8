import { format, parseISO } from 'date-fns';

/** A calendar day (YYYY-MM-DD) as people write it. */
export const dayText = (day: string): string => format(parseISO(day), 'd MMMM yyyy');
