import { memo, useEffect, useMemo } from 'react';
import { CanvasTexture, DoubleSide, MeshBasicMaterial } from 'three';
import type { Piece } from '@/core/course';
import { familyOf, specOf, turnOf } from '@/core/pieces';
import { add, rotate } from '@/core/geometry';

/** The words on boards, written onto them. */
export const BoardTexts = memo(function BoardTexts({ pieces }: { pieces: readonly Piece[] }) {
  const boards = pieces.filter(({ family }) => family === 'board');
  return (
    <>
      {boards.map((piece) => (
        <BoardText key={piece.id} piece={piece} />
      ))}
    </>
  );
});

const BoardText = memo(function BoardText({ piece }: { piece: Piece }) {
  const { size, choice } = specOf(familyOf('board'), piece);
  const text = choice('text');
  const [w, h, d] = size;
  const material = useMemo(
    () =>
      new MeshBasicMaterial({
        map: written(text, w / (h * 0.5)),
        transparent: true,
        side: DoubleSide,
        depthWrite: false,
      }),
    [text, w, h],
  );
  useEffect(
    () => () => {
      material.map?.dispose();
      material.dispose();
    },
    [material],
  );
  // In front of the boarding, which stands half as deep as the posts.
  const at = add(piece.at, rotate(turnOf(piece), [0, h * 0.74, d * 0.25 + 0.012]));
  const [tx, ty, tz] = (piece.turn ?? [0, 0, 0]).map((v) => (v * Math.PI) / 180);
  return (
    <mesh position={[at[0], at[1], at[2]]} rotation={[tx, ty, tz, 'YXZ']} material={material}>
      <planeGeometry args={[w * 0.96, h * 0.46]} />
    </mesh>
  );
});

/** Words as a picture, in as large a hand as fits on up to three lines. */
function written(text: string, aspect: number): CanvasTexture {
  const canvas = document.createElement('canvas');
  canvas.height = 160;
  canvas.width = Math.round(Math.min(8, Math.max(0.5, aspect)) * 160);
  const brush = canvas.getContext('2d');
  if (brush) {
    brush.fillStyle = '#1F2A2E';
    brush.textAlign = 'center';
    brush.textBaseline = 'middle';
    for (let size = 90; size >= 16; size -= 6) {
      brush.font = `${size}px BricolageGrotesque_700Bold, sans-serif`;
      const lines = broken(brush, text, canvas.width - 24);
      if (lines.length * size * 1.1 > canvas.height - 10 && size > 16) continue;
      lines.forEach((line, i) =>
        brush.fillText(
          line,
          canvas.width / 2,
          canvas.height / 2 + (i - (lines.length - 1) / 2) * size * 1.1,
        ),
      );
      break;
    }
  }
  return new CanvasTexture(canvas);
}

function broken(brush: CanvasRenderingContext2D, text: string, width: number): string[] {
  const lines: string[] = [];
  let line = '';
  for (const word of text.split(/\s+/)) {
    const longer = line ? `${line} ${word}` : word;
    if (line && brush.measureText(longer).width > width) {
      lines.push(line);
      line = word;
    } else line = longer;
  }
  return [...lines, line];
}
