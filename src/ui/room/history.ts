/** Undo and redo over whole values. Edits of one label that follow each other quickly count as one. */
export interface History<T> {
  past: T[];
  now: T;
  future: T[];
  label: string;
  at: number;
}

const most = 200;
const togetherMs = 900;
/** Each step is put together anew, which takes a moment. */
const mostRebased = 30;

export function begin<T>(now: T): History<T> {
  return { past: [], now, future: [], label: '', at: 0 };
}

export function edited<T>(h: History<T>, next: T, label: string, at: number): History<T> {
  if (next === h.now) return h;
  const together = label === h.label && at - h.at < togetherMs && h.past.length > 0;
  return { past: together ? h.past : [...h.past, h.now].slice(-most), now: next, future: [], label, at };
}

export function undone<T>(h: History<T>): History<T> {
  const before = h.past.at(-1);
  return before === undefined
    ? h
    : { past: h.past.slice(0, -1), now: before, future: [h.now, ...h.future], label: '', at: 0 };
}

export function redone<T>(h: History<T>): History<T> {
  const [after, ...rest] = h.future;
  return after === undefined ? h : { past: [...h.past, h.now], now: after, future: rest, label: '', at: 0 };
}

/** What came from elsewhere, put into every step: going back then takes back one's own edits and leaves the other's. */
export function rebased<T>(h: History<T>, onto: (value: T) => T): History<T> {
  return { past: h.past.slice(-mostRebased).map(onto), now: onto(h.now), future: h.future.map(onto), label: '', at: 0 };
}
