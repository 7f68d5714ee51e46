import type { FilmAsset } from '@noria/core';
import { films } from './films';
import { fileId } from './ids';
import { request } from './problem';

/** What the browser reads of a film: its size, how long it is, and a frame to show before it plays. */
export interface ReadFilm {
  readonly inlineSize: number;
  readonly blockSize: number;
  readonly duration: number;
  readonly poster: File;
}

/**
 * Reads a film in the browser.
 * @throws Error when the browser can't play it; its message says what to do
 */
export async function readFilm(file: File): Promise<ReadFilm> {
  const address = URL.createObjectURL(file);
  const video = document.createElement('video');
  video.muted = true;
  video.preload = 'auto';
  try {
    await settled(video, 'loadeddata', () => (video.src = address), file.name);
    const duration = Number.isFinite(video.duration) ? video.duration : 0;
    await settled(video, 'seeked', () => (video.currentTime = Math.min(0.2, duration / 2)), file.name);
    const canvas = document.createElement('canvas');
    canvas.width = video.videoWidth;
    canvas.height = video.videoHeight;
    canvas.getContext('2d')?.drawImage(video, 0, 0);
    const frame = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/webp', 0.85));
    if (!frame) throw new Error(`No frame of “${file.name}” could be read.`);
    const poster = new File([frame], `${file.name.replace(/\.[^.]+$/, '')} poster.webp`, {
      type: 'image/webp',
    });
    return { inlineSize: video.videoWidth, blockSize: video.videoHeight, duration, poster };
  } finally {
    video.removeAttribute('src');
    video.load();
    URL.revokeObjectURL(address);
  }
}

const settled = (video: HTMLVideoElement, event: string, begin: () => void, name: string) =>
  new Promise<void>((resolve, reject) => {
    const timer = setTimeout(() => fail(), 20_000);
    const fail = () => {
      clearTimeout(timer);
      reject(new Error(`“${name}” can’t be played here. Choose an MP4 (H.264) or WebM film.`));
    };
    video.addEventListener(
      event,
      () => {
        clearTimeout(timer);
        resolve();
      },
      { once: true },
    );
    video.addEventListener('error', fail, { once: true });
    begin();
  });

export async function uploadFilm(file: File, read: Omit<ReadFilm, 'poster'>): Promise<FilmAsset> {
  const form = new FormData();
  form.append('film', file);
  const response = await request(films(), { method: 'POST', body: form });
  const { hash, mediaType } = (await response.json()) as Pick<FilmAsset, 'hash' | 'mediaType'>;
  const name = file.name.replace(/\.[^.]+$/, '').slice(0, 80) || 'Film';
  const id = fileId(name, 'film', hash);
  const { inlineSize, blockSize, duration } = read;
  const extension = mediaType === 'video/mp4' ? 'mp4' : 'webm';
  return {
    id,
    name,
    file: `${id}.${extension}`,
    hash,
    mediaType,
    inlineSize,
    blockSize,
    duration,
    alternativeText: '',
  };
}
