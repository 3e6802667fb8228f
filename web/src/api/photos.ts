import { clear, createStore, get, set } from 'idb-keyval';

/*
 * Photos of a cook: kept by this browser and nowhere else. They are made small first; a browser that keeps nothing
 * (a private window) says so when one is added.
 */

const store = () => createStore('ergastic-photos', 'by-cook');

/** So many a cook, and so wide, px. */
export const MAX_PHOTOS = 8;
const WIDEST = 1400;

/** The photos of a cook, as addresses to show them by. */
export async function photosOf(cook: string): Promise<string[]> {
  if (typeof indexedDB === 'undefined') return [];
  return (await get<string[]>(cook, store())) ?? [];
}

/** Keeps other photos of a cook. */
export const keepPhotos = (cook: string, photos: string[]) => set(cook, photos, store());

/** Lets the photos of all cooks go. */
export async function forgetPhotos() {
  if (typeof indexedDB !== 'undefined') await clear(store());
}

/** A photo as it is kept: no wider than a screen. */
export async function madeSmall(file: Blob): Promise<string> {
  const picture = await createImageBitmap(file);
  const scale = Math.min(1, WIDEST / Math.max(picture.width, picture.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(picture.width * scale);
  canvas.height = Math.round(picture.height * scale);
  canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  return canvas.toDataURL('image/jpeg', 0.82);
}
