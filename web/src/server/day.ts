import { format } from 'date-fns';

/** The calendar day here, as YYYY-MM-DD. */
export function today(): string {
  return format(new Date(), 'yyyy-MM-dd');
}
