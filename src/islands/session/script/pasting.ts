import type { ScriptLinesProps } from './scriptProps.ts';

export function pastedFrom(_latest: { readonly current: ScriptLinesProps }) {
  return {};
}
