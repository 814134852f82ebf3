import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';

/** An answer that never changes: its headers, and its bytes in both codings. */
export interface ShelvedFile {
  readonly headers: Readonly<Record<string, string>>;
  readonly zipped: Uint8Array<ArrayBuffer>;
  readonly plain: Uint8Array<ArrayBuffer>;
}

/** The files asked for last, in memory, by their path below `/w/`. They never change, so nothing has to be thrown away but for room. */
export interface WidgetFiles {
  get(path: string): ShelvedFile | null;
  put(path: string, zipped: Buffer, headers: Readonly<Record<string, string>>): ShelvedFile;
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
    put: (path, body, headers) => {
      const file = { headers, zipped: new Uint8Array(body), plain: new Uint8Array(gunzipSync(body)) };
      bytes += file.zipped.length + file.plain.length;
      if (bytes > BYTES_MAX) {
        files.clear();
        bytes = file.zipped.length + file.plain.length;
      }
      files.set(path, file);
      return file;
    },
  };
}

/** A shelved file as whoever asked takes it. The entry sends this as it is; elsewhere it becomes a `Response`. */
export function codedFor(
  { headers, zipped, plain }: ShelvedFile,
  acceptEncoding: string | null,
): { readonly headers: Record<string, string>; readonly body: Uint8Array<ArrayBuffer> } {
  const takesGzip = /\bgzip\b/.test(acceptEncoding ?? '');
  const body = takesGzip ? zipped : plain;
  return {
    headers: {
      ...headers,
      ...(takesGzip ? { 'Content-Encoding': 'gzip' } : {}),
      'Content-Length': String(body.length),
    },
    body,
  };
}
