import { format } from 'date-fns';

/** Today as a day (ISO 8601) where the user is: late in the evening that is another one than in Greenwich. */
export function today(): string {
  return format(new Date(), 'yyyy-MM-dd');
}
