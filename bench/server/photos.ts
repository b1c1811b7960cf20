import sharp from 'sharp';
import { ask, type Answered } from './client.ts';

/** A photo as a phone sends one, no two alike: noise does not pack, so a side of 600 is some 200 kB. */
export function photo(side: number): Promise<Buffer> {
  return sharp({
    create: {
      width: side,
      height: side,
      channels: 3,
      background: '#888',
      noise: { type: 'gaussian', mean: 120, sigma: 40 },
    },
  })
    .jpeg({ quality: 80 })
    .toBuffer();
}

/** Sends a picture as the page does; what is said of it goes as a fact of its own. Never throws, as `ask`. */
export async function sendPicture(url: string, job: string, id: string, bytes: Buffer): Promise<Answered> {
  const started = performance.now();
  try {
    const response = await fetch(`${url}/api/jobs/${job}/pictures/${id}`, {
      method: 'PUT',
      headers: { 'content-type': 'image/jpeg', 'x-pondu': '1' },
      body: new Uint8Array(bytes),
      signal: AbortSignal.timeout(60_000),
    });
    await response.arrayBuffer();
    return { status: response.status, ms: performance.now() - started, text: '' };
  } catch {
    return { status: 0, ms: performance.now() - started, text: '' };
  }
}
/** Writes down what a picture shows; its id is the picture's. */
export const sayPhoto = (url: string, job: string, id: string): Promise<Answered> =>
  ask(`${url}/api/jobs/${job}/photos`, 'POST', { id, picture: id, words: id });
