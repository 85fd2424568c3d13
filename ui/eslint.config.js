import query from '@tanstack/eslint-plugin-query';
import a11y from 'eslint-plugin-jsx-a11y';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

const elsewhere = 'What is said to a person stands in src/words, whole, with holes for what changes.';

/** Words in a view: text, attributes that are read out or shown, sentences, and sentences with holes. */
const wordsInAView = [
  'JSXText[value=/[A-Za-z]{2}/]',
  'JSXAttribute[name.name=/^(aria-label|aria-roledescription|title|label|placeholder|alt|okText|cancelText|description|addonAfter|addonBefore)$/] Literal[value=/[A-Za-z]{2}/]:not(BinaryExpression Literal):not(CallExpression Literal):not(MemberExpression Literal)',
  'Property[key.name=/^(label|title|says|content|okText|cancelText|placeholder|message)$/] > Literal[value=/[A-Za-z]{2}/]',
  // A sentence has a capital and a space, or ends like one.
  'Literal[value=/^[A-Z“][a-z’]*[ ,].*[a-z]/]',
  'Literal[value=/^[^/.#]*[a-z],? [a-z].*[.…:?]$/]',
  // What is said either way.
  'JSXElement > JSXExpressionContainer > ConditionalExpression > Literal[value=/[A-Za-z]{2}/]',
  'JSXElement > JSXExpressionContainer > LogicalExpression > Literal[value=/[A-Za-z]{2}/]',
  // A sentence glued about its holes.
  'TemplateElement[value.raw=/[A-Z][a-z]+ |[a-z]{2,} [a-z]{2,}|^ [a-z]{2,}|^, [a-z]{2,}|^\\. [A-Z]/]:not(JSXAttribute[name.name=/^(className|style|d|transform|font)$/] TemplateElement):not(Property[key.name="font"] TemplateElement)',
].map((selector) => ({ selector, message: elsewhere }));

export default tseslint.config(
  { ignores: ['dist', 'src/api/schema.d.ts', 'src/core/built'] },
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
  {
    files: ['src/**/*.{ts,tsx}'],
    ignores: ['src/words/**', 'src/**/*.test.{ts,tsx}', 'src/testkit/**'],
    rules: { 'no-restricted-syntax': ['error', ...wordsInAView] },
  },
);
