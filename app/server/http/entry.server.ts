import type { ServerBuild } from "react-router";
import { readConfig } from "../config/index.server";
import { start } from "./main.server";

const say = (line: string) => process.stdout.write(`${line}\n`);

// The routes are part of the same bundle, so that server code exists once in the process.
const build = (await import("virtual:react-router/server-build")) as unknown as ServerBuild;
const running = await start(readConfig(process.env), build, { say });
say(`READY ${running.port} ${running.shopPort}`);
const stop = () => void running.stop().then(() => process.exit(0));
process.on("SIGTERM", stop);
process.on("SIGINT", stop);
