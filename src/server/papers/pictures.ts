/** Pictures on a sheet: photos with their marks, the circuit with its leaks, a signature; each with what it shows in words. */
import { readFile } from 'node:fs/promises';
import sharp from 'sharp';
import { type Content, type Photo, SIGNATURE_BOX } from '../../papers/paper';
import { COLUMNS } from '../../record/drawing/layoutCells';
import { GLYPHS, type Shape } from '../../record/drawing/glyphs';
import { CELL, middleOf, pathOf } from '../../record/drawing/pipes';
import { drawn, pagesOf } from '../../record/drawing/placing';
import { BRICK, INK, LINE, type Pdf, SOFT, type Struct, needs, styled, textAs, widthOf } from './sheet';

const PHOTO_SIDE = 700;
const PHOTO_QUALITY = 62;
const GREEN = '#1f6b45';

export interface ReadyPhoto {
  bytes: Buffer;
  width: number;
  height: number;
}

/** Photos as small as paper wants them, by file; one that is not there is left out here and said on the paper. */
export async function smallPhotos(
  files: readonly string[],
  pathOfFile: (file: string) => string | null,
): Promise<ReadonlyMap<string, ReadyPhoto>> {
  const ready = new Map<string, ReadyPhoto>();
  for (const file of new Set(files)) {
    const path = pathOfFile(file);
    if (path === null) continue;
    const made = await sharp(await readFile(path))
      .resize(PHOTO_SIDE, PHOTO_SIDE, { fit: 'inside', withoutEnlargement: true })
      .jpeg({ quality: PHOTO_QUALITY })
      .toBuffer({ resolveWithObject: true });
    ready.set(file, { bytes: made.data, width: made.info.width, height: made.info.height });
  }
  return ready;
}

const GAP = 12;
const TALLEST = 190;

/** Two side by side, before and after together. */
export function drawPhotos(
  pdf: Pdf,
  parent: Struct,
  { groups }: Extract<Content, { type: 'photos' }>,
  ready: ReadonlyMap<string, ReadyPhoto>,
): void {
  const photos = groups.flat();
  const width = (widthOf(pdf) - GAP) / 2;
  for (let start = 0; start < photos.length; start += 2) {
    const pair = photos.slice(start, start + 2);
    const sizes = pair.map(({ file }) => {
      const photo = ready.get(file);
      if (!photo) return { width, height: 14 };
      const scale = Math.min(width / photo.width, TALLEST / photo.height);
      return { width: photo.width * scale, height: photo.height * scale };
    });
    const tallest = Math.max(...sizes.map(({ height }) => height));
    needs(pdf, tallest + 30);
    const { left } = pdf.page.margins;
    const top = pdf.y;
    let bottom = top;
    pair.forEach((photo, index) => {
      const x = left + index * (width + GAP);
      const size = sizes[index] ?? { width, height: 0 };
      const bytes = ready.get(photo.file)?.bytes;
      if (bytes) onePhoto(pdf, parent, photo, bytes, { x, y: top, ...size });
      pdf.x = x;
      pdf.y = top + (bytes ? tallest + 3 : 0);
      textAs(
        pdf,
        parent,
        bytes ? 'Caption' : 'P',
        [[bytes ? photo.words : `Photo that is not at hand: ${photo.words}`, { size: 8, color: SOFT }]],
        { width },
      );
      bottom = Math.max(bottom, pdf.y);
    });
    pdf.x = left;
    pdf.y = bottom + 6;
  }
}

interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}

function onePhoto(pdf: Pdf, parent: Struct, photo: Photo, bytes: Buffer, { x, y, width, height }: Box): void {
  parent.add(
    pdf.struct('Figure', { alt: `Photo: ${photo.words}` }, () => {
      pdf.image(bytes, x, y, { width, height });
      for (const { shape, from, to } of photo.marks) {
        const [x1, y1, x2, y2] = [
          x + from[0] * width,
          y + from[1] * height,
          x + to[0] * width,
          y + to[1] * height,
        ];
        // Twice, dark below bright, so that it shows on any ground.
        for (const [color, wide] of [
          [INK, 3],
          ['#ffd23f', 1.4],
        ] as const) {
          pdf.lineWidth(wide).strokeColor(color);
          if (shape === 'arrow') {
            const turned = Math.atan2(y2 - y1, x2 - x1);
            pdf.moveTo(x1, y1).lineTo(x2, y2);
            for (const wing of [0.5, -0.5])
              pdf.moveTo(x2, y2).lineTo(x2 - 9 * Math.cos(turned + wing), y2 - 9 * Math.sin(turned + wing));
            pdf.stroke();
          } else pdf.ellipse(x1, y1, Math.max(2, Math.abs(x2 - x1)), Math.max(2, Math.abs(y2 - y1))).stroke();
        }
      }
    }),
  );
}

const DRAWING_WIDTH = 330;

/** Every page of the circuit, with the number of leaks at each part that leaked. */
export function drawCircuit(
  pdf: Pdf,
  parent: Struct,
  { map, leaks, said }: Extract<Content, { type: 'drawing' }>,
): void {
  const scale = DRAWING_WIDTH / (COLUMNS * CELL);
  for (let page = 0; page < pagesOf(map); page += 1) {
    const { parts, pipes, rows, places } = drawn(map, page);
    // A page of a large circuit on which nothing leaked is left out.
    if (page > 0 && !parts.some(({ id }) => leaks[id] !== undefined)) continue;
    needs(pdf, rows * CELL * scale + 10);
    const { left } = pdf.page.margins;
    const top = pdf.y;
    const byId = new Map(parts.map((part) => [part.id, part]));
    parent.add(
      pdf.struct('Figure', { alt: said }, () => {
        pdf.save().translate(left, top).scale(scale);
        places.forEach(({ where, fromRow }, index) => {
          if (index > 0)
            pdf
              .moveTo(0, fromRow * CELL)
              .lineTo(COLUMNS * CELL, fromRow * CELL)
              .lineWidth(1)
              .strokeColor(LINE)
              .stroke();
          const text = styled(pdf, where, { size: 11, color: SOFT });
          pdf.text(text, fromRow === 0 ? 2 : CELL + 8, fromRow * CELL + 2, { lineBreak: false });
        });
        for (const pipe of pipes)
          pdf
            .path(pathOf(pipe, byId))
            .lineWidth(pipe.side === 'high' ? 3.5 : 1.6)
            .strokeColor(pipe.side === 'high' ? INK : GREEN)
            .stroke();
        for (const part of parts) {
          const { x, y } = middleOf(part);
          pdf.save().translate(x, y).lineWidth(1.6).lineJoin('round');
          for (const shape of GLYPHS[part.type]) drawShape(pdf, shape);
          const times = leaks[part.id] ?? 0;
          if (times > 0) {
            pdf.path('M-14 3L-5 12L-14 21L-23 12Z').fill(BRICK);
            const text = styled(pdf, String(times), { size: 10, bold: true, color: '#ffffff' });
            pdf.text(text, -17, 7, { lineBreak: false });
          }
          pdf.restore();
        }
        pdf.restore();
      }),
    );
    pdf.x = left;
    pdf.y = top + rows * CELL * scale + 6;
  }
  textAs(pdf, parent, 'Caption', [[said, { size: 8, color: SOFT }]], { width: widthOf(pdf) });
  pdf.moveDown(0.4);
}

function drawShape(pdf: Pdf, shape: Shape): void {
  if ('path' in shape) pdf.path(shape.path);
  else if ('circle' in shape) pdf.circle(...shape.circle);
  else {
    const [x, y, width, height, corner] = shape.rect;
    if (shape.dashed) pdf.dash(3, { space: 3 });
    if (corner > 0) pdf.roundedRect(x, y, width, height, corner);
    else pdf.rect(x, y, width, height);
  }
  pdf.fillAndStroke('#ffffff', INK);
  if ('rect' in shape && shape.dashed) pdf.undash();
}

const SIGNATURE_WIDTH = 180;

export function drawSignature(
  pdf: Pdf,
  parent: Struct,
  { path, name }: Extract<Content, { type: 'signature' }>,
): void {
  const scale = SIGNATURE_WIDTH / SIGNATURE_BOX.width;
  const height = SIGNATURE_BOX.height * scale;
  needs(pdf, height + 30);
  const { left } = pdf.page.margins;
  const top = pdf.y;
  parent.add(
    pdf.struct('Figure', { alt: `Signature of ${name}` }, () => {
      pdf.save().translate(left, top).scale(scale);
      pdf.path(path).lineWidth(2.4).lineCap('round').strokeColor(INK).stroke();
      pdf.restore();
    }),
  );
  pdf.x = left;
  pdf.y = top + height + 4;
}
