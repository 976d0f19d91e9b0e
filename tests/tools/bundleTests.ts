import { readFileSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import { pathToFileURL } from 'node:url';
import { build, type Plugin } from 'esbuild';

/** Modules go on naming the place of their source, from where fixtures and other programs are found. */
const placeOfSource: Plugin = {
  name: 'place-of-source',
  setup: ({ onLoad }) =>
    onLoad({ filter: /\.tsx?$/ }, ({ path }) => {
      const source = readFileSync(path, 'utf8');
      if (!source.includes('import.meta')) return null;
      const contents = source
        .replaceAll('import.meta.dirname', JSON.stringify(dirname(path)))
        .replaceAll('import.meta.url', JSON.stringify(pathToFileURL(path).href));
      return { contents, loader: path.endsWith('x') ? 'tsx' : 'ts' };
    }),
};

/**
 * Test files as modules that share what they import: a process then reads a few files in place of a thousand, and nothing is
 * compiled twice. They are written below `folder`, from where packages are found. Gives their paths in the same order.
 */
export async function bundleTests(
  files: readonly string[],
  { root, folder }: { readonly root: string; readonly folder: string },
): Promise<string[]> {
  await build({
    entryPoints: [...files],
    outbase: root,
    outdir: folder,
    outExtension: { '.js': '.mjs' },
    bundle: true,
    splitting: true,
    format: 'esm',
    platform: 'node',
    target: 'node20',
    jsx: 'automatic',
    packages: 'external',
    sourcemap: true,
    logLevel: 'warning',
    plugins: [placeOfSource],
  });
  return files.map((file) => join(folder, relative(root, file).replace(/\.ts$/, '.mjs')));
}
