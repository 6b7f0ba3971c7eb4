/**
 * What a page of Rung may load and run: its own scripts by a number drawn for this one answer, its own workers and WebAssembly (the general solver), nothing from
 * elsewhere, in no frame (Content Security Policy Level 3). Style attributes are set by the components; style elements carry the number.
 */
export function securityPolicy(nonce: string): string {
  return [
    "default-src 'none'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic' 'wasm-unsafe-eval'`,
    `style-src 'self' 'nonce-${nonce}'`,
    "style-src-attr 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self' blob:",
    "manifest-src 'self'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
}

/** For answers that are no pages: nothing in them is ever run or shown in a frame. */
export const barePolicy = "default-src 'none'; frame-ancestors 'none'; sandbox";
