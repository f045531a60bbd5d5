import type { Photo } from '@/core/records/records';
import { act, newStamps } from './act';
import { database } from './database';

/** Keeps a reduced photograph with its roll. */
export async function keepPhoto(
  rollId: string,
  photo: Pick<Photo, 'name' | 'widthPx' | 'heightPx' | 'jpeg' | 'frame'>,
): Promise<void> {
  await act(`photo:${rollId}`, (writer) => writer.put('photos', { ...newStamps(), rollId, ...photo }));
}

/** Stores how a picture was scanned. */
export async function tellScan(photoId: string, scanned: string): Promise<void> {
  const updatedMs = Date.now();
  await act(`photo:${photoId}:scan`, (writer) => writer.change('photos', photoId, { scanned, updatedMs }));
}

/** Takes a photograph away; returns it, so that the page can put it back. */
export async function dropPhoto(photoId: string): Promise<Photo | undefined> {
  const photo = await database().photos.get(photoId);
  await act(`photo:${photo?.rollId ?? ''}`, (writer) => writer.remove('photos', photoId));
  return photo;
}

/** Puts a photograph back that was taken away. */
export async function restorePhoto(photo: Photo): Promise<void> {
  await act(`photo:${photo.rollId}`, (writer) => writer.put('photos', photo));
}
