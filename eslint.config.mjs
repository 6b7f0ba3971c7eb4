import hooks from 'eslint-plugin-react-hooks';
import ts from 'typescript-eslint';

export default ts.config(
  { ignores: ['.next/**', '.rung/**', 'node_modules/**', 'drizzle/**', 'next-env.d.ts'] },
  ...ts.configs.recommended,
  {
    files: ['src/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': hooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
  {
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': 'error',
      'no-restricted-syntax': [
        'error',
        { selector: 'ExportDefaultDeclaration', message: 'Named exports only, but where Next asks for a default.' },
      ],
      'no-nested-ternary': 'error',
      eqeqeq: 'error',
      'prefer-const': 'error',
    },
  },
  { files: ['src/app/**', '*.config.{ts,mjs}', '.dependency-cruiser.cjs'], rules: { 'no-restricted-syntax': 'off' } },
);
