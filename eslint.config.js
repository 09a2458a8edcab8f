import redos from "eslint-plugin-redos";
import tseslint from "typescript-eslint";
import { namesFromOutside } from "./bin/lint-rules.mjs";

// What is generally known to go wrong is found by oxlint (`.oxlintrc.json`), which is many times as fast; here stand the rules
// of our own and the one on patterns, which it does not have.

const clock = "What time it is comes from the situation (core/situation).";
const tests = ["**/*.test.{ts,tsx}", "**/fixtures/**"];

export default tseslint.config(
  { ignores: ["app/core/boundary-fixture/"] },
  {
    files: ["app/**/*.{ts,tsx}"],
    ignores: tests,
    languageOptions: {
      parser: tseslint.parser,
      parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname },
    },
    linterOptions: { reportUnusedDisableDirectives: "error" },
    plugins: { redos, zest: { rules: { "names-from-outside": namesFromOutside } } },
    rules: {
      "zest/names-from-outside": "error",
      // What a pattern takes to read has to grow with the text and not with its square, or one request stops all others.
      "redos/no-vulnerable": ["error", { timeout: 10_000 }],
    },
  },
  // It is known there that the record has the name itself.
  { files: ["app/core/document/entry.ts"], rules: { "zest/names-from-outside": "off" } },
  {
    files: ["app/{core,kinds,render,themes}/**/*.{ts,tsx}"],
    ignores: tests,
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
    files: ["app/routes/**/*.{ts,tsx}"],
    ignores: tests,
    rules: {
      "no-restricted-syntax": [
        "error",
        { selector: "CallExpression[callee.property.name='formData']", message: "Read forms with formOf(request)." },
      ],
    },
  },
  {
    // Files of tests share the modules that were loaded for others.
    files: ["app/**/*.test.{ts,tsx}", "demo/**/*.test.ts"],
    ignores: ["**/*.mocked.test.{ts,tsx}"],
    languageOptions: { parser: tseslint.parser },
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
);
