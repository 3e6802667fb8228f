import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import { defineConfig } from 'eslint/config';
import tseslint from 'typescript-eslint';

export default defineConfig(
  { ignores: ['dist', 'src/api/generated.ts', 'eslint.config.js'] },
  js.configs.recommended,
  tseslint.configs.recommendedTypeChecked,
  hooks.configs.flat.recommended,
  {
    languageOptions: { parserOptions: { projectService: true } },
    rules: { '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: false }] },
  },
);
