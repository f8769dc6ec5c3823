/** Reads a zip that may mean harm: sizes are summed before anything is unpacked, and what is larger than it said is stopped. */
import yauzl from 'yauzl';
import { FileRefused } from './refused';

export interface ZipLimits {
  /** of all that is in it, unpacked, bytes */
  total: number;
  entries: number;
  /** of one of them: a larger one is passed over */
  each?: number;
  /** which files are unpacked */
  wants: (name: string) => boolean;
}

const MEGABYTE = 1024 * 1024;

const broken = (): FileRefused =>
  new FileRefused(
    'This file is no whole zip, or not what it says it is.',
    'Save it again, and send it anew.',
  );

/** The wanted files by name, in the order of the zip. */
export async function unzipped(bytes: Buffer, limits: ZipLimits): Promise<Map<string, Buffer>> {
  const found = new Map<string, Buffer>();
  for await (const { name, content } of unzippedOneByOne(bytes, limits)) found.set(name, content);
  return found;
}

/** The same one after the other: no more than one of them is held at a time. */
export async function* unzippedOneByOne(
  bytes: Buffer,
  limits: ZipLimits,
): AsyncGenerator<{ name: string; content: Buffer }> {
  const zip = await new Promise<yauzl.ZipFile>((resolve, reject) => {
    // Names that climb out of the folder are refused by the reader itself; what unpacks to more than it said, too.
    yauzl.fromBuffer(
      bytes,
      { lazyEntries: true, validateEntrySizes: true, strictFileNames: true },
      (_, file) => {
        if (file) resolve(file);
        else reject(broken());
      },
    );
  });
  try {
    for (const entry of await entriesOf(zip, limits))
      if (limits.wants(entry.fileName) && entry.uncompressedSize <= (limits.each ?? Infinity))
        yield { name: entry.fileName, content: await contentOf(zip, entry) };
  } finally {
    zip.close();
  }
}

function entriesOf(zip: yauzl.ZipFile, { total, entries }: ZipLimits): Promise<yauzl.Entry[]> {
  return new Promise((resolve, reject) => {
    const listed: yauzl.Entry[] = [];
    let sum = 0;
    zip.on('error', () => reject(broken()));
    zip.on('end', () => resolve(listed));
    zip.on('entry', (entry: yauzl.Entry) => {
      sum += entry.uncompressedSize;
      listed.push(entry);
      if (sum > total)
        reject(
          new FileRefused(
            `Unpacked, this file would be more than ${String(Math.round(total / MEGABYTE))} MB.`,
            'Divide it, and bring the parts in one after the other.',
          ),
        );
      else if (listed.length > entries)
        reject(new FileRefused(`This file holds more than ${String(entries)} files.`, 'Divide it.'));
      else zip.readEntry();
    });
    zip.readEntry();
  });
}

function contentOf(zip: yauzl.ZipFile, entry: yauzl.Entry): Promise<Buffer> {
  return new Promise((resolve, reject) => {
    zip.openReadStream(entry, (_, stream) => {
      if (!stream) {
        reject(broken());
        return;
      }
      const parts: Buffer[] = [];
      stream.on('data', (part: Buffer) => parts.push(part));
      stream.on('error', () => reject(broken()));
      stream.on('end', () => resolve(Buffer.concat(parts)));
    });
  });
}
