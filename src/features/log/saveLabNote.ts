import { format } from 'date-fns';
import { strToU8, zip } from 'fflate';
import { labNote, type LabNoteOf } from '@/core/formats/labNote';
import type { Photo } from '@/core/records/records';
import { download } from '@/ui/download';

/** Saves a run as a zip: the note as Markdown, and the pictures of its roll beside it. */
export async function saveLabNote(of: Omit<LabNoteOf, 'pictures'>, photos: readonly Photo[]): Promise<void> {
  const files: Record<string, Uint8Array> = {};
  const pictures = photos.map((_, index) => `picture-${index + 1}.jpg`);
  await Promise.all(
    photos.map(async ({ jpeg }, index) => {
      files[`photos/${pictures[index] ?? ''}`] = new Uint8Array(await jpeg.arrayBuffer());
    }),
  );
  files['note.md'] = strToU8(labNote({ ...of, pictures }, (atMs) => format(atMs, 'd MMM yyyy, HH:mm')));
  const packed = await new Promise<Uint8Array>((resolve, reject) =>
    zip(files, (error, data) => (error === null ? resolve(data) : reject(error))),
  );
  download(new Blob([packed as BlobPart], { type: 'application/zip' }), `aetas-run-${of.run.id}.zip`);
}
