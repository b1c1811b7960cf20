import type { Request, Response } from 'express';

export interface Stream {
  send(data: unknown): void;
  /** Says that it is done, and ends. */
  end(): void;
  /** Runs once, however it ends. */
  ended(done: () => void): void;
}

/** Streams that are going, with the device that hears each. */
const open = new Map<Stream, string | undefined>();

/** Ends every stream that is still going: a server that stops does not wait for them. */
export function endStreams(): void {
  for (const stream of [...open.keys()]) stream.end();
}

/** Ends whatever a device hears: it was put out. */
export function endStreamsOf(deviceId: string): void {
  for (const [stream, device] of [...open]) if (device === deviceId) stream.end();
}

/** Server-sent events on a response. */
export function beginStream(req: Request, res: Response): Stream {
  const dones: (() => void)[] = [];
  const stream: Stream = {
    send: (data) => void res.write(`data: ${JSON.stringify(data)}\n\n`),
    end: () => void res.end('event: done\ndata: {}\n\n'),
    ended: (done) => void dones.push(done),
  };
  res.set({ 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store, no-transform', Connection: 'keep-alive' });
  res.flushHeaders();
  open.set(stream, req.device?.id);
  res.on('close', () => {
    open.delete(stream);
    for (const done of dones) done();
  });
  req.socket.setNoDelay(true);
  return stream;
}
