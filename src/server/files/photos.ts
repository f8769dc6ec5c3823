/**
 * Photos: turned upright, made smaller, stripped of what the camera wrote into them (place and device), and stored under
 * the hash of their content, so that the same picture is kept once and an entry that names it proves it.
 */
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { contentHash, keepFile } from './keptFile';
import { invalid } from '../problem';

/** What a phone's camera makes at most, with room. */
export const PHOTO_BYTES = 25 * 1024 * 1024;
const MOST_PIXELS = 80_000_000;
const LONGEST_SIDE = 1600;
const QUALITY = 80;

export const PHOTO_NAME = /^[0-9a-f]{64}\.jpg$/;

export interface StoredPhoto {
  file: string;
  width: number;
  height: number;
}

export class Photos {
  constructor(readonly folder: string) {}

  /** Refuses what is no picture, or more picture than any camera makes; nothing is written then. */
  async store(bytes: Buffer): Promise<StoredPhoto> {
    const read = sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error' });
    const made = await read
      .rotate()
      .resize(LONGEST_SIDE, LONGEST_SIDE, { fit: 'inside', withoutEnlargement: true })
      .jpeg({ quality: QUALITY, mozjpeg: true })
      .toBuffer({ resolveWithObject: true })
      .catch((error: unknown) => {
        throw invalid(
          [{ path: ['photo'], message: refusal(error) }],
          'This photo cannot be kept; nothing was written.',
        );
      });
    const file = `${contentHash(made.data)}.jpg`;
    await this.keep(file, made.data);
    return { file, width: made.info.width, height: made.info.height };
  }

  /** A picture under the name that its content gives it. */
  keep = (file: string, content: Buffer): Promise<void> => keepFile(this.folder, file, content);

  pathOf = (file: string): string | null => {
    const path = join(this.folder, file);
    return PHOTO_NAME.test(file) && existsSync(path) ? path : null;
  };
}

function refusal(error: unknown): string {
  return error instanceof Error && /pixel limit/i.test(error.message)
    ? 'has more pixels than any camera makes; take it again at a smaller size'
    : 'is no picture that can be read here; send a JPEG, PNG or WebP, or take it again with the camera';
}
