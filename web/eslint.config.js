import a11y from 'eslint-plugin-jsx-a11y-x'
import reactHooks from 'eslint-plugin-react-hooks'
import tseslint from 'typescript-eslint'

export default tseslint.config(
  { ignores: ['src/api/schema.ts', 'src/texts/messages.ts'] },
  ...tseslint.configs.strictTypeChecked,
  reactHooks.configs.flat.recommended,
  a11y.configs.recommended,
  {
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      'jsx-a11y-x/no-autofocus': 'off', // A dialog puts the focus into its first field.
      '@typescript-eslint/no-confusing-void-expression': 'off', // A handler may end with what it calls.
      'max-lines-per-function': ['error', { max: 100, skipBlankLines: true, skipComments: true }],
      // Words stand in the catalogues: locales/<language>/*.ftl.
      'no-restricted-syntax': [
        'error',
        ...[
          'JSXText[value=/[A-Za-z]{2}/]',
          'JSXAttribute[name.name=/^(label|title|placeholder|alt|aria-label|helperText|says|as)$/] > Literal[value=/[A-Za-z]{2}/]',
        ].map((selector) => ({ selector, message: 'Words stand in locales/en: use t().' })),
      ],
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
    },
    linterOptions: { reportUnusedDisableDirectives: 'error' },
  },
  {
    // What the device keeps has one owner.
    ignores: ['src/storage/**'],
    rules: { 'no-restricted-globals': ['error', 'localStorage', 'sessionStorage', 'indexedDB'] },
  },
)
