import sharp from 'sharp';
import type { Answered } from './client.ts';

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

/** Sends a picture and writes its photo down, as the page does; answers with the first refusal or the last answer. */
export async function sendPhoto(url: string, job: string, id: string, bytes: Buffer): Promise<Answered> {
  const started = performance.now();
  const send = async (path: string, method: string, type: string, body: BodyInit): Promise<number> => {
    const response = await fetch(`${url}/api/jobs/${job}/${path}`, {
      method,
      headers: { 'content-type': type, 'x-pondu': '1' },
      body,
      signal: AbortSignal.timeout(60_000),
    });
    await response.arrayBuffer();
    return response.status;
  };
  try {
    let status = await send(`pictures/${id}`, 'PUT', 'image/jpeg', new Uint8Array(bytes));
    if (status === 201)
      status = await send('photos', 'POST', 'application/json', JSON.stringify({ id, picture: id, words: id }));
    return { status, ms: performance.now() - started, text: '' };
  } catch {
    return { status: 0, ms: performance.now() - started, text: '' };
  }
}
