import { Link } from '@/ui/frame/Link';

export default function NotFound() {
  return (
    <main style={{ maxWidth: 560, margin: '96px auto', padding: 16 }}>
      <h1>Nothing stands here</h1>
      <p>
        This address names no build or board. It may have been removed. <Link href="/">All builds</Link>
      </p>
    </main>
  );
}
