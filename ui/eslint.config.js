import query from '@tanstack/eslint-plugin-query';
import a11y from 'eslint-plugin-jsx-a11y';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  { ignores: ['dist', 'src/api/schema.d.ts'] },
  ...tseslint.configs.recommended,
  hooks.configs.flat.recommended,
  a11y.flatConfigs.recommended,
  ...query.configs['flat/recommended'],
  {
    rules: {
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { ignoreRestSiblings: true, varsIgnorePattern: '^_' }],
      // What Ant Design draws is a control too.
      'jsx-a11y/label-has-associated-control': [
        'error',
        {
          controlComponents: [
            'Input',
            'InputNumber',
            'Select',
            'Segmented',
            'Checkbox',
            'Input.TextArea',
            'Input.Password',
            'NumberIn',
            'NumberField',
          ],
          depth: 4,
        },
      ],
      'jsx-a11y/no-autofocus': ['error', { ignoreNonDOM: true }],
    },
  },
);
