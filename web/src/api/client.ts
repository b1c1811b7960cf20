import { link } from '../offline/link.ts';
import { recall, remember } from '../offline/seen.ts';
import { ApiProblem, type FieldError } from './problem.ts';

interface ProblemBody {
  title?: string;
  type?: string;
  fields?: FieldError[];
  count?: number;
}

/** Longer than this nobody waits with a meter in hand. */
const PATIENCE_MS = 10_000;

async function refused(response: Response): Promise<ApiProblem> {
  const body = (await response.json().catch(() => ({}))) as ProblemBody;
  const code = body.type?.replace('urn:pondu:', '') ?? 'unexpected';
  return new ApiProblem(
    response.status,
    code,
    body.title ?? `The server answered ${response.status}.`,
    body.fields ?? [],
    body.count,
  );
}

async function ask(path: string, init: RequestInit): Promise<Response> {
  try {
    return await fetch(`/api${path}`, init);
  } catch {
    throw new ApiProblem(
      0,
      'unreachable',
      'The workshop’s server does not answer. What you typed is kept here; try again.',
    );
  }
}

/** Calls the API; `version` is what the write is based on. Throws ApiProblem. */
export async function call<T>(
  method: string,
  path: string,
  body?: unknown,
  version?: number,
  patienceMs = PATIENCE_MS,
): Promise<T> {
  const headers: Record<string, string> = { accept: 'application/json' };
  if (method !== 'GET') headers['x-pondu'] = '1';
  if (body !== undefined) headers['content-type'] = 'application/json';
  if (version !== undefined) headers['if-match'] = `"${version}"`;
  const response = await ask(path, {
    method,
    headers,
    signal: AbortSignal.timeout(patienceMs),
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  });
  if (!response.ok) throw await refused(response);
  return response.status === 204 ? (undefined as T) : ((await response.json()) as T);
}

/** What is there; without a signal, what was last seen there. */
export async function get<T>(path: string): Promise<T> {
  if (link.state === 'gone') {
    const seen = await recall(path);
    if (seen !== undefined) return seen as T;
  }
  try {
    const value = await call<T>('GET', path);
    remember(path, value);
    return value;
  } catch (error) {
    const seen = error instanceof ApiProblem && error.unreachable ? await recall(path) : undefined;
    if (seen === undefined) throw error;
    return seen as T;
  }
}

/** Sends a picture as it is; its kind is told by its bytes. */
export async function put<T>(path: string, blob: Blob): Promise<T> {
  const response = await ask(path, {
    method: 'PUT',
    headers: { accept: 'application/json', 'content-type': 'application/octet-stream', 'x-pondu': '1' },
    body: blob,
  });
  if (!response.ok) throw await refused(response);
  return (await response.json()) as T;
}

/** Sends a file of any size as it is. */
export async function upload<T>(path: string, file: Blob): Promise<T> {
  const response = await ask(path, {
    method: 'POST',
    headers: { accept: 'application/json', 'content-type': 'application/json', 'x-pondu': '1' },
    body: file,
  });
  if (!response.ok) throw await refused(response);
  return (await response.json()) as T;
}
