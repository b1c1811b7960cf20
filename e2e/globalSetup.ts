import type { TestProject } from 'vitest/node';
import { TestServer } from './server.ts';

declare module 'vitest' {
  interface ProvidedContext {
    url: string;
  }
}

/** The built application on a free port, with the demo data in a file of its own. */
export default async function setup(project: TestProject) {
  const server = new TestServer();
  project.provide('url', await server.start());
  return () => server.remove();
}
