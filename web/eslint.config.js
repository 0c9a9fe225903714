import js from "@eslint/js"
import hooks from "eslint-plugin-react-hooks"
import { defineConfig, globalIgnores } from "eslint/config"
import typescript from "typescript-eslint"

// What the house asks of the screens: hooks used as React means them, no cast that hides a mistake, components
// that fit on a screen or two, no colour but from the theme.
export default defineConfig([
  globalIgnores(["dist", "src/keep/schema.d.ts"]),
  js.configs.recommended,
  typescript.configs.recommended,
  hooks.configs.flat["recommended-latest"],
  {
    rules: {
      "max-len": ["error", { code: 120, ignoreUrls: true }],
      "max-lines-per-function": ["error", { max: 120, skipBlankLines: true, skipComments: true }],
      "@typescript-eslint/no-unused-vars": ["error", { argsIgnorePattern: "^_", varsIgnorePattern: "^_" }],
      "no-restricted-syntax": [
        "error",
        { selector: "TSAsExpression > TSAsExpression", message: "A cast through unknown hides a mistake." },
        { selector: "Literal[value=/#[0-9a-f]{6}\\b/i]", message: "Colours come from the theme (styles.css)." },
        { selector: "TemplateElement[value.raw=/#[0-9a-f]{6}\\b/i]", message: "Colours come from the theme." },
      ],
    },
  },
  // A list of examples is as long as it is.
  { files: ["**/*.test.ts"], rules: { "max-lines-per-function": "off" } },
])
