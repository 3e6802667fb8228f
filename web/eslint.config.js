import js from '@eslint/js';
import query from '@tanstack/eslint-plugin-query';
import a11y from 'eslint-plugin-jsx-a11y';
import hooks from 'eslint-plugin-react-hooks';
import { defineConfig } from 'eslint/config';
import tseslint from 'typescript-eslint';

export default defineConfig(
  { ignores: ['dist', 'src/api/generated.ts', 'eslint.config.js', '*.mjs'] },
  js.configs.recommended,
  tseslint.configs.strictTypeChecked,
  hooks.configs.flat.recommended,
  query.configs['flat/recommended'],
  a11y.flatConfigs.strict,
  {
    languageOptions: { parserOptions: { projectService: true } },
    rules: {
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: false }],
      // Numbers stand in sentences and coordinates all over the drawings.
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      // An arrow that only calls something is no promise to answer nothing.
      '@typescript-eslint/no-confusing-void-expression': ['error', { ignoreArrowShorthand: true }],
    },
  },
  {
    files: ['**/*.test.ts', '**/*.test.tsx'],
    // A test fails where what it takes for granted is not there.
    rules: { '@typescript-eslint/no-non-null-assertion': 'off' },
  },
);
