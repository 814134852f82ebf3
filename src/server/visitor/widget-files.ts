import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';

/** An answer that never changes: its headers, and its bytes in each coding there is of it. */
export interface ShelvedFile {
  readonly headers: Readonly<Record<string, string>>;
  readonly brotli: Uint8Array<ArrayBuffer> | null;
  readonly zipped: Uint8Array<ArrayBuffer>;
  readonly plain: Uint8Array<ArrayBuffer>;
}

/** The files asked for last, in memory, by their path below `/w/`. They never change, so nothing has to be thrown away but for room. */
export interface WidgetFiles {
  get(path: string): ShelvedFile | null;
  put(path: string, zipped: Buffer, headers: Readonly<Record<string, string>>, brotli?: Buffer): ShelvedFile;
  /** File names of the guest's parts that were built ([L9]). Throws where the widget was not built. */
  guestFiles(widgetDir: string): GuestFiles;
}

export interface GuestFiles {
  readonly panel: string;
  readonly watch: string;
}

const BYTES_MAX = 32 * 1024 * 1024;

export function makeWidgetFiles(): WidgetFiles {
  const files = new Map<string, ShelvedFile>();
  let bytes = 0;
  let guest: GuestFiles | null = null;
  return {
    guestFiles: (widgetDir) =>
      (guest ??= JSON.parse(readFileSync(join(widgetDir, 'built.json'), 'utf8')) as GuestFiles),
    get: (path) => files.get(path) ?? null,
    put: (path, zipped, headers, brotli) => {
      const file: ShelvedFile = {
        headers,
        brotli: brotli === undefined ? null : new Uint8Array(brotli),
        zipped: new Uint8Array(zipped),
        plain: new Uint8Array(gunzipSync(zipped)),
      };
      const size = file.zipped.length + file.plain.length + (file.brotli?.length ?? 0);
      if (bytes + size > BYTES_MAX) {
        files.clear();
        bytes = 0;
      }
      bytes += size;
      files.set(path, file);
      return file;
    },
  };
}

/** A shelved file as whoever asked takes it. The entry sends this as it is; elsewhere it becomes a `Response`. */
export function codedFor(
  { headers, brotli, zipped, plain }: ShelvedFile,
  acceptEncoding: string | null,
): { readonly headers: Record<string, string>; readonly body: Uint8Array<ArrayBuffer> } {
  const takes = (coding: string): boolean => new RegExp(`\\b${coding}\\b`).test(acceptEncoding ?? '');
  const coded = (coding: string, body: Uint8Array<ArrayBuffer>) => ({
    headers: { ...headers, 'Content-Encoding': coding, 'Content-Length': String(body.length) },
    body,
  });
  if (brotli !== null && takes('br')) return coded('br', brotli);
  if (takes('gzip')) return coded('gzip', zipped);
  return { headers: { ...headers, 'Content-Length': String(plain.length) }, body: plain };
}
