import pluginVue from "eslint-plugin-vue";
import a11y from "eslint-plugin-vuejs-accessibility";
import tseslint from "typescript-eslint";

export default tseslint.config(
  { ignores: ["src/api/schema.d.ts", "dist"] },
  ...tseslint.configs.recommended,
  ...pluginVue.configs["flat/essential"],
  ...a11y.configs["flat/recommended"],
  {
    files: ["**/*.vue"],
    languageOptions: { parserOptions: { parser: tseslint.parser } },
  },
  {
    rules: {
      "vue/multi-word-component-names": "off",
      // the first field of a dialog takes the focus, as WAI-ARIA asks of dialogs
      "vuejs-accessibility/no-autofocus": "off",
      "vuejs-accessibility/label-has-for": ["error", { required: { some: ["nesting", "id"] } }],
    },
  },
);
