import { build } from 'vite';

/** A script and all that it imports as one module, built as the server is. */
export async function builtForNode(entry: string): Promise<string> {
  const result = await build({
    configFile: false,
    logLevel: 'silent',
    ssr: { noExternal: true },
    build: { write: false, ssr: entry, target: 'node20', rollupOptions: { output: { codeSplitting: false } } },
  });
  const [bundle] = Array.isArray(result) ? result : [result];
  const chunk = bundle && 'output' in bundle ? bundle.output.find((o) => o.type === 'chunk') : undefined;
  if (chunk?.type !== 'chunk') throw new Error('The script was not built');
  return chunk.code;
}
