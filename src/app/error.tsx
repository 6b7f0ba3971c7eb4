'use client';

export default function Failed({ reset }: { error: Error; reset: () => void }) {
  return (
    <main style={{ maxWidth: 560, margin: '96px auto', padding: 16 }}>
      <h1>This screen stopped</h1>
      <p>Something in it went wrong. What you typed is kept in this browser.</p>
      <button type="button" onClick={reset}>
        Show it again
      </button>
    </main>
  );
}
