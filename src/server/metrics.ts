import { collectDefaultMetrics, Counter, Histogram, Registry } from 'prom-client';

interface Kept {
  registry: Registry;
  requests: Counter;
  seconds: Histogram;
}
const kept = globalThis as { rungMetrics?: Kept };

/** Counters of this process, in the text format of Prometheus. They name methods and kinds of answers, never what was asked for. */
function metrics(): Kept {
  if (kept.rungMetrics) return kept.rungMetrics;
  const registry = new Registry();
  collectDefaultMetrics({ register: registry, prefix: 'rung_' });
  kept.rungMetrics = {
    registry,
    requests: new Counter({
      name: 'rung_requests_total',
      help: 'Requests answered, by method and class of status',
      labelNames: ['method', 'status'],
      registers: [registry],
    }),
    seconds: new Histogram({
      name: 'rung_request_seconds',
      help: 'Seconds until a request was answered',
      labelNames: ['method'],
      buckets: [0.01, 0.03, 0.1, 0.3, 1, 3, 10],
      registers: [registry],
    }),
  };
  return kept.rungMetrics;
}

/** Counts one request. */
export function counted(method: string, status: number, ms: number): void {
  const { requests, seconds } = metrics();
  requests.inc({ method, status: `${Math.floor(status / 100)}xx` });
  seconds.observe({ method }, ms / 1000);
}

export function metricsText(): Promise<string> {
  return metrics().registry.metrics();
}
