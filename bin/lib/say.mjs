/** An end that the person at the keyboard can do something about: said in a sentence, without a stack. */
export class Stop extends Error {}

export const say = (line) => process.stdout.write(`${line}\n`);

/** Runs `main`; a Stop is said plainly, anything else in full. Either way the process ends with 1. */
export async function runMain(main) {
  try {
    await main();
  } catch (error) {
    process.stderr.write(error instanceof Stop ? `${error.message}\n` : `${error?.stack ?? error}\n`);
    process.exitCode = 1;
  }
}
