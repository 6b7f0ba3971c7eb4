import type { ReactNode } from 'react';
import type { FaceDrawing } from '@/core';

/** Least width in which a face can be read beside the other, in pixels. */
const readable = 620;

/** The faces of a board at one scale: side by side where there is room for both, else below each other. */
export function Faces({
  faces,
  among = faces,
  children,
}: {
  faces: FaceDrawing[];
  /** All that are drawn at this scale, where they do not stand together. */
  among?: FaceDrawing[];
  children: (face: FaceDrawing) => ReactNode;
}) {
  const widest = Math.max(...among.map((f) => f.width));
  return (
    <div style={{ display: 'flex', flexWrap: 'wrap', gap: 16 }}>
      {faces.map((f) => (
        <figure
          key={`${f.member} ${f.face}`}
          style={{
            margin: 0,
            flex: `${f.width} 1 ${(readable * f.width) / widest}px`,
            maxWidth: `${(100 * f.width) / widest}%`,
          }}
        >
          <figcaption style={{ fontSize: 12 }}>
            {f.member !== null && `${f.member}: `}
            {f.face === 'top' ? 'Top, nose up' : 'Underside, seen from below, nose up'}
          </figcaption>
          {children(f)}
        </figure>
      ))}
    </div>
  );
}
