import { resolve } from "node:path";
import { z } from "zod";

const schema = z.object({
  ZEST_DATABASE: z.url(),
  ZEST_DATA: z.string().min(1).default(".data"),
  ZEST_PORT: z.coerce.number().int().min(0).max(65535).default(4310),
  ZEST_SHOP_PORT: z.coerce.number().int().min(0).max(65535).default(4311),
  /** `1`: the demo shop is loaded into an empty database, and the sign-in page offers its account. */
  ZEST_DEMO: z.enum(["0", "1"]).default("0"),
  ZEST_DEMO_RESET: z.enum(["0", "1"]).default("0"),
});

export type Config = {
  readonly database: string;
  readonly picturesFolder: string;
  readonly fontsFolder: string;
  readonly port: number;
  readonly shopPort: number;
  readonly demo: boolean;
  readonly demoReset: boolean;
};

let cached: Config | undefined;

/** The settings of this process, read once from its environment. @throws when one is missing or malformed. */
export function config(): Config {
  if (cached) return cached;
  const env = schema.parse(process.env);
  cached = {
    database: env.ZEST_DATABASE,
    picturesFolder: resolve(env.ZEST_DATA, "pictures"),
    fontsFolder: resolve(env.ZEST_DATA, "fonts"),
    port: env.ZEST_PORT,
    shopPort: env.ZEST_SHOP_PORT,
    demo: env.ZEST_DEMO === "1",
    demoReset: env.ZEST_DEMO_RESET === "1",
  };
  return cached;
}
