import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';

/** A published file ready to be sent, in both codings. */
export interface ShelvedFile {
  readonly zipped: Uint8Array<ArrayBuffer>;
  readonly plain: Uint8Array<ArrayBuffer>;
}

/** The published files asked for last, in memory. They never change, so nothing has to be thrown away but for room. */
export interface FileShelf {
  get(name: string): ShelvedFile | null;
  put(name: string, zipped: Buffer): ShelvedFile;
  /** File name of the panel that was built ([L9]). Throws where the widget was not built. */
  panelName(widgetDir: string): string;
}

const BYTES_MAX = 32 * 1024 * 1024;

export function makeFileShelf(): FileShelf {
  const files = new Map<string, ShelvedFile>();
  let bytes = 0;
  let panel: string | null = null;
  return {
    panelName: (widgetDir) => (panel ??= (JSON.parse(readFileSync(join(widgetDir, 'built.json'), 'utf8')) as { panel: string }).panel),
    get: (name) => files.get(name) ?? null,
    put: (name, body) => {
      const file = { zipped: new Uint8Array(body), plain: new Uint8Array(gunzipSync(body)) };
      bytes += file.zipped.length + file.plain.length;
      if (bytes > BYTES_MAX) {
        files.clear();
        bytes = file.zipped.length + file.plain.length;
      }
      files.set(name, file);
      return file;
    },
  };
}
