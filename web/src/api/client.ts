import { ApiProblem, type FieldError } from './problem.ts';

interface ProblemBody {
  title?: string;
  type?: string;
  fields?: FieldError[];
}

async function refused(response: Response): Promise<ApiProblem> {
  const body = (await response.json().catch(() => ({}))) as ProblemBody;
  const code = body.type?.replace('urn:pondu:', '') ?? 'unexpected';
  return new ApiProblem(
    response.status,
    code,
    body.title ?? `The server answered ${response.status}.`,
    body.fields ?? [],
  );
}

/** Calls the API; `version` is what the write is based on. Throws ApiProblem. */
export async function call<T>(method: string, path: string, body?: unknown, version?: number): Promise<T> {
  const headers: Record<string, string> = { accept: 'application/json' };
  if (body !== undefined) headers['content-type'] = 'application/json';
  if (version !== undefined) headers['if-match'] = `"${version}"`;
  let response: Response;
  try {
    response = await fetch(`/api${path}`, {
      method,
      headers,
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
  } catch {
    throw new ApiProblem(
      0,
      'unreachable',
      'The workshop’s server does not answer. What you typed is kept here; try again.',
    );
  }
  if (!response.ok) throw await refused(response);
  return response.status === 204 ? (undefined as T) : ((await response.json()) as T);
}

export const get = <T>(path: string): Promise<T> => call<T>('GET', path);
