/**
 * JSON text whose strings can be stored: a NUL, and half of a surrogate pair (a text that was cut in the middle of a letter beyond the first plane), stand in no database
 * (PostgreSQL, datatype json; RFC 8259, 8.2) and become U+FFFD. All else is as it was.
 */
export function storableJson(text: string): string {
  if (!text.includes('\\u')) return text;
  return text.replace(
    /\\u(d[89ab][0-9a-f]{2})\\u(d[c-f][0-9a-f]{2})|\\(u[0-9a-f]{4}|[\s\S])/gi,
    (whole: string, _high: string | undefined, _low: string | undefined, one: string | undefined) =>
      one !== undefined && /^u(0000|d[89a-f][0-9a-f]{2})$/i.test(one) ? '\\ufffd' : whole,
  );
}
