'use client';

import { useEffect } from 'react';

/** What a screen shows that failed: the browser's console has the error, the server's log has it under the digest. */
export default function Failed({ error, reset }: { error: Error & { digest?: string }; reset: () => void }) {
  useEffect(() => console.error(error), [error]);
  return (
    <main style={{ maxWidth: 560, margin: '96px auto', padding: 16 }}>
      <h1>This screen stopped</h1>
      <p>
        A fault of ours stopped it{error.digest ? ` (in the log as ${error.digest})` : `: ${error.message}`}. What you
        typed is kept in this browser.
      </p>
      <button type="button" onClick={reset}>
        Show it again
      </button>
    </main>
  );
}
