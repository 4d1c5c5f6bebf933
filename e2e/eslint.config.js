import js from '@eslint/js';
import globals from 'globals';
import ts from 'typescript-eslint';

export default ts.config(
  { ignores: ['node_modules/', 'test-results/'] },
  js.configs.recommended,
  ...ts.configs.strict,
  { languageOptions: { globals: { ...globals.browser, ...globals.node } } }
);
