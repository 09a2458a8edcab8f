import { spawn, spawnSync } from "node:child_process";
import { mkdirSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { freePort } from "./database.mjs";
import { Stop } from "./say.mjs";

const middleOf = (values) => values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)];
const round = (value) => Math.round(value * 100) / 100;

function requestsPerSecond(address, host) {
  const { stdout, status } = spawnSync(
    "wrk",
    ["-t1", "-c16", "-d4s", "-H", `Host: ${host}`, "-H", "Accept-Encoding: br", address],
    { encoding: "utf8" },
  );
  const found = /Requests\/sec:\s+([\d.]+)/.exec(stdout ?? "");
  if (status !== 0 || !found) throw new Stop(`wrk gave no result for ${address}`);
  return Number(found[1]);
}

/** A bare server that sends one answer to whoever asks, in a process of its own. Gives its port and how to end it. */
async function bareServer(folder, headers, body) {
  const file = join(folder, "answer");
  writeFileSync(file, body);
  const code = `
    const body = require("node:fs").readFileSync(${JSON.stringify(file)});
    const headers = ${JSON.stringify(headers)};
    require("node:http").createServer((q, r) => r.writeHead(200, headers).end(body)).listen(0, "127.0.0.1", function () { console.log(this.address().port); });`;
  const child = spawn("node", ["-e", code], { stdio: ["ignore", "pipe", "inherit"] });
  const port = await new Promise((done) => child.stdout.once("data", (text) => done(Number(String(text)))));
  return { port, end: () => child.kill("SIGTERM") };
}

/**
 * Requests per second of the shop's home page, in turns on one machine: from the shop; from a bare Node server that sends the same
 * bytes with the same header fields; through the shipped nginx; and from nginx as a static file of the same bytes, with the same
 * header fields.
 */
export async function serving(shop, shopPort, folder) {
  const host = `${shop}.localhost:${shopPort}`;
  const address = `http://127.0.0.1:${shopPort}/`;
  // Host may not be set on fetch; the bytes come the way that wrk will ask for them.
  const said = spawnSync("curl", ["-s", "-i", "-H", `Host: ${host}`, "-H", "Accept-Encoding: br", address], {
    maxBuffer: 1 << 26,
  }).stdout;
  const end = said?.indexOf("\r\n\r\n") ?? -1;
  if (end < 0) throw new Stop("the shop gave no page to compare with");
  const body = said.subarray(end + 4);
  const headers = said
    .subarray(0, end)
    .toString("latin1")
    .split("\r\n")
    .slice(1)
    .map((line) => [line.slice(0, line.indexOf(":")), line.slice(line.indexOf(":") + 2)])
    .filter(([name]) => !/^(date|connection|keep-alive)$/i.test(name));
  // A file has these of its own.
  const besides = headers.filter(([name]) => !/^(content-type|content-length|etag|last-modified)$/i.test(name));
  const added = besides.map(([name, value]) => `add_header ${name} ${JSON.stringify(value)};`).join(" ");
  const root = join(folder, "nginx");
  mkdirSync(root, { recursive: true });
  writeFileSync(join(root, "index.html"), body);
  const [plain, cached] = [await freePort(), await freePort()];
  const shipped = readFileSync("deploy/nginx.conf", "utf8")
    .replace("127.0.0.1:4311", `127.0.0.1:${shopPort}`)
    .replace("/var/cache/nginx/zest", join(root, "cache"))
    .replace("*.shops.example", "*.localhost")
    .replace(/server \{\s+listen 443 ssl;\s+server_name studio\.example;[\s\S]*$/, "")
    .replace("listen 443 ssl", `listen 127.0.0.1:${cached}`)
    .replaceAll(/^\s*ssl_certificate.*$/gm, "");
  writeFileSync(
    join(root, "nginx.conf"),
    `worker_processes 1; daemon off; pid ${root}/nginx.pid; error_log ${root}/error.log; events {} http { access_log off; client_body_temp_path ${root}/b; proxy_temp_path ${root}/p; fastcgi_temp_path ${root}/f; uwsgi_temp_path ${root}/u; scgi_temp_path ${root}/s; default_type text/html; server { listen 127.0.0.1:${plain}; root ${root}; ${added} }\n${shipped}\n}`,
  );
  if (process.getuid?.() === 0) spawnSync("chmod", ["-R", "a+rwX", folder]);
  const nginx = spawn("nginx", ["-c", join(root, "nginx.conf")], { stdio: "inherit" });
  const bare = await bareServer(folder, headers.flat(), body);
  const targets = {
    shop: [address, host],
    bareNode: [`http://127.0.0.1:${bare.port}/`, host],
    throughNginx: [`http://127.0.0.1:${cached}/`, host],
    nginxFile: [`http://127.0.0.1:${plain}/`, "localhost"],
  };
  try {
    const until = Date.now() + 5_000;
    while (spawnSync("curl", ["-sf", "-o", "/dev/null", targets.nginxFile[0]]).status !== 0 && Date.now() < until);
    requestsPerSecond(...targets.shop);
    const rates = Object.fromEntries(Object.keys(targets).map((name) => [name, []]));
    for (let round = 0; round < 5; round++)
      for (const [name, target] of Object.entries(targets)) rates[name].push(requestsPerSecond(...target));
    const middle = Object.fromEntries(Object.entries(rates).map(([name, all]) => [name, Math.round(middleOf(all))]));
    return {
      bytes: body.length,
      ...middle,
      shopToBareNode: round(middle.shop / middle.bareNode),
      throughNginxToFile: round(middle.throughNginx / middle.nginxFile),
    };
  } finally {
    nginx.kill("SIGTERM");
    bare.end();
  }
}
