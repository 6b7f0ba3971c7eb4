/** Shops change prices within a month or so: common practice, no source. */
const staleAfterDays = 30;

/** Was an offer seen so long before `today` (ISO 8601 days) that it wants to be asked for again? */
export function isStale({ seen }: { seen: string }, today: string): boolean {
  return (Date.parse(today) - Date.parse(seen)) / 86_400_000 > staleAfterDays;
}
