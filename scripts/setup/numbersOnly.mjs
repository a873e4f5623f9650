/** Stryker leaves alone what a purpose says and draws: no number of a plan depends on it. */
import { declareValuePlugin, PluginKind } from '@stryker-mutator/api/plugin';

const NO_NUMBERS = new Set(['says', 'draw', 'reverse']);

export const strykerPlugins = [
  declareValuePlugin(PluginKind.Ignore, 'numbers-only', {
    shouldIgnore: ({ node }) =>
      (node.type === 'ObjectProperty' || node.type === 'ObjectMethod') &&
      node.key.type === 'Identifier' &&
      NO_NUMBERS.has(node.key.name)
        ? 'words and drawings'
        : undefined,
  }),
];
