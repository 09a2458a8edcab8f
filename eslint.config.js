import hooks from "eslint-plugin-react-hooks";
import redos from "eslint-plugin-redos";
import tseslint from "typescript-eslint";
import { namesFromOutside } from "./bin/lint-rules.mjs";

const clock = "What time it is comes from the situation (core/situation).";

export default tseslint.config(
  {
    ignores: [
      "build/",
      "node_modules/",
      ".react-router/",
      ".data/",
      "test-results/",
      "playwright-report/",
      "app/core/boundary-fixture/",
    ],
  },
  ...tseslint.configs.recommendedTypeChecked,
  { files: ["app/*.tsx", "app/{kinds,render,routes,studio}/**/*.{ts,tsx}"], ...hooks.configs.flat.recommended },
  {
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    linterOptions: { reportUnusedDisableDirectives: "error" },
    rules: {
      "@typescript-eslint/no-unused-vars": [
        "error",
        { argsIgnorePattern: "^_", varsIgnorePattern: "^_", ignoreRestSiblings: true },
      ],
      "@typescript-eslint/consistent-type-imports": "error",
      // What is awaited only in one of several implementations, and what stands in for it in tests, is asynchronous as well.
      "@typescript-eslint/require-await": "off",
      // What parts say is JSON. Where one value of it is made text, the schema of its kind says that it is text.
      "@typescript-eslint/no-base-to-string": "off",
      // React Router throws responses, and `data` of its own.
      "@typescript-eslint/only-throw-error": "off",
      "@typescript-eslint/no-misused-promises": [
        "error",
        { checksVoidReturn: { attributes: false, arguments: false } },
      ],
      eqeqeq: ["error", "always", { null: "ignore" }],
      "no-console": ["error", { allow: ["warn", "error"] }],
      "max-lines": ["error", { max: 500, skipBlankLines: true }],
    },
  },
  {
    files: ["app/**/*.{ts,tsx}"],
    ignores: ["**/*.test.{ts,tsx}", "**/fixtures/**"],
    plugins: { redos, zest: { rules: { "names-from-outside": namesFromOutside } } },
    rules: {
      "zest/names-from-outside": "error",
      // What a pattern takes to read has to grow with the text and not with its square, or one request stops all others.
      "redos/no-vulnerable": ["error", { timeout: 10_000 }],
    },
  },
  {
    files: ["app/{core,kinds,render,themes}/**/*.{ts,tsx}"],
    ignores: ["**/*.test.{ts,tsx}", "**/fixtures/**"],
    rules: {
      "no-restricted-syntax": [
        "error",
        { selector: "CallExpression[callee.object.name='Date'][callee.property.name='now']", message: clock },
        { selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: clock },
        { selector: "CallExpression[callee.object.name='performance'][callee.property.name='now']", message: clock },
      ],
    },
  },
  {
    files: ["app/routes/**"],
    ignores: ["**/*.test.{ts,tsx}"],
    rules: {
      "no-restricted-syntax": [
        "error",
        { selector: "CallExpression[callee.property.name='formData']", message: "Read forms with formOf(request)." },
      ],
    },
  },
  {
    // Stand-ins and answers of servers are of whatever type a test says.
    files: ["**/*.test.{ts,tsx}", "e2e/**", "attack/**", "**/fixtures/**"],
    rules: {
      "@typescript-eslint/no-unsafe-assignment": "off",
      "@typescript-eslint/no-unsafe-argument": "off",
      "@typescript-eslint/no-unsafe-call": "off",
      "@typescript-eslint/no-unsafe-member-access": "off",
      "@typescript-eslint/no-unsafe-return": "off",
      "@typescript-eslint/unbound-method": "off",
    },
  },
  {
    // Files of tests share the modules that were loaded for others.
    files: ["app/**/*.test.{ts,tsx}", "demo/**/*.test.ts"],
    ignores: ["**/*.mocked.test.{ts,tsx}"],
    rules: {
      "no-restricted-syntax": [
        "error",
        {
          selector: "CallExpression[callee.object.name='vi'][callee.property.name=/^(mock|doMock|resetModules)$/]",
          message:
            "Tests that replace a module stand in a file named *.mocked.test.*, which has its modules to itself.",
        },
      ],
    },
  },
  { files: ["**/*.mjs", "**/*.js", "**/*.cjs"], ...tseslint.configs.disableTypeChecked },
  { files: ["bin/**", "demo/**", "e2e/**", "attack/**"], rules: { "no-console": "off" } },
);
