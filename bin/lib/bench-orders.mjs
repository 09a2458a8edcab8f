import { request } from "node:http";
import { createConnection } from "mariadb";
import { say, Stop } from "./say.mjs";
import { startServer } from "./server.mjs";

// Orders under load: how many a second are taken, and whether the last pieces of something go to as many shoppers as there are
// pieces, also when the application is killed while they order.

const PER_SECOND = 30;
const SECONDS = 60;
const PIECES = 10;
const SHOPPERS = 50;
const KILLS = 20;

const percentile = (values, share) =>
  values.toSorted((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * share))];
const round = (value) => Math.round(value * 100) / 100;

let places = 0;
/** Each shopper comes from a place of their own: what protects a shop from one that asks too often is not what is measured. */
const place = () => `10.${(places >> 16) & 255}.${(places >> 8) & 255}.${places++ & 255}`;

/** Sends a form as a browser without a script does. */
const post = (port, host, path, fields, cookie, from) =>
  new Promise((done, fail) => {
    const body = new URLSearchParams(fields).toString();
    const sent = request(
      {
        port,
        host: "127.0.0.1",
        path,
        method: "POST",
        headers: {
          Host: `${host}.localhost:${port}`,
          "Content-Type": "application/x-www-form-urlencoded",
          "Content-Length": Buffer.byteLength(body),
          Accept: "text/html",
          "X-Forwarded-For": from,
          ...(cookie ? { Cookie: cookie } : {}),
        },
      },
      (response) => {
        response.resume();
        response.on("end", () => done({ status: response.statusCode, headers: response.headers }));
        response.on("error", fail);
      },
    );
    sent.on("error", fail);
    sent.end(body);
  });

let presses = 0;

/** A shopper with one piece of something in the cart; `order` sends the same order each time it is called. */
async function shopper(port, host, product) {
  const from = place();
  const added = await post(port, host, "/cart/add", product, undefined, from);
  const cookie = (added.headers["set-cookie"] ?? []).map((each) => each.split(";")[0]).join("; ");
  const fields = {
    do: "place",
    pressed: `bench-order-${process.pid}-${String(++presses).padStart(8, "0")}`,
    mail: "bench@quill.example",
    country: "IE",
    name: "Ada Quill",
    street: "4 Quay Lane",
    town: "Howth",
    way: "post",
    pay: "transfer",
  };
  return { order: (at = port) => post(at, host, "/checkout", fields, cookie, from) };
}

/** @param database where the demo shop is loaded; @param data its folder */
export async function orders({ database, data, host }) {
  const connection = await createConnection(database.replace(/^mysql:/, "mariadb:"));
  const [shop] = await connection.query("SELECT id FROM shops WHERE host = ?", [host]);
  const productOf = async (sku) =>
    (await connection.query("SELECT id FROM products WHERE shopId = ? AND sku = ?", [shop.id, sku]))[0].id;
  const open = () =>
    startServer({ database, data, port: 0, shopPort: 0, demo: false, reset: false, say: () => undefined });
  process.env.ZEST_TRUSTED_PROXIES = "loopback";
  const few = await productOf("LK-311");
  const setPieces = (product, pieces) =>
    connection.query(
      "INSERT INTO stock (shopId, productId, variantId, pieces) VALUES (?, ?, '', ?) ON DUPLICATE KEY UPDATE pieces = VALUES(pieces), owed = 0",
      [shop.id, product, pieces],
    );
  const race = async (withKill) => {
    await setPieces(few, PIECES);
    const before = Number(
      (await connection.query("SELECT COUNT(*) AS n FROM orders WHERE shopId = ? AND state = 'placed'", [shop.id]))[0]
        .n,
    );
    let server = await open();
    const all = await Promise.all(
      Array.from({ length: SHOPPERS }, () => shopper(server.shopPort, host, { product: few })),
    );
    const answers = all.map((each) => each.order().catch(() => undefined));
    if (withKill) {
      await new Promise((done) => setTimeout(done, 5 + Math.random() * 250));
      server.kill();
      await server.gone;
      await Promise.all(answers);
      server = await open();
    }
    const said = await Promise.all(
      answers.map(async (answer, i) => (await answer) ?? (await all[i].order(server.shopPort))),
    );
    // Whoever got no answer presses once more; whoever did, as well: nobody may get two of it by that.
    if (withKill) await Promise.all(all.map((each) => each.order(server.shopPort)));
    await server.stop();
    const [{ pieces }] = await connection.query("SELECT pieces FROM stock WHERE shopId = ? AND productId = ?", [
      shop.id,
      few,
    ]);
    const after = Number(
      (await connection.query("SELECT COUNT(*) AS n FROM orders WHERE shopId = ? AND state = 'placed'", [shop.id]))[0]
        .n,
    );
    return {
      orders: after - before,
      thanked: said.filter(({ status }) => status === 303).length,
      refused: said.filter(({ status }) => status === 409 || status === 422).length,
      faults: said.filter(({ status }) => status >= 500).length,
      left: Number(pieces),
    };
  };
  const plain = await race(false);
  say(`  ${SHOPPERS} for ${PIECES}: ${plain.orders} orders, ${plain.refused} refused, ${plain.left} left`);
  const killed = [];
  for (let i = 0; i < KILLS; i++) killed.push(await race(true));
  const [{ numbers, last }] = await connection.query(
    "SELECT COUNT(DISTINCT number) AS numbers, MAX(number) AS last FROM orders WHERE shopId = ? AND isTest = 0 AND number IS NOT NULL",
    [shop.id],
  );
  if (killed.some(({ orders: n, left }) => n + left !== PIECES || n > PIECES))
    throw new Stop("more was sold than there is");

  const many = { product: await productOf("LK-310") };
  await setPieces(many.product, 1_000_000);
  const server = await open();
  const took = [];
  const wrong = [];
  const started = performance.now();
  const running = [];
  for (let i = 0; i < PER_SECOND * SECONDS; i++) {
    const due = started + (i * 1000) / PER_SECOND;
    const wait = due - performance.now();
    if (wait > 0) await new Promise((done) => setTimeout(done, wait));
    running.push(
      (async () => {
        const each = await shopper(server.shopPort, host, many);
        const at = performance.now();
        const { status } = await each.order();
        took.push(performance.now() - at);
        if (status !== 303) wrong.push(status);
      })().catch((error) => wrong.push(String(error))),
    );
  }
  await Promise.all(running);
  const seconds = (performance.now() - started) / 1000;
  await server.stop();
  await connection.end();
  return {
    race: plain,
    killed: {
      times: KILLS,
      orders: [...new Set(killed.map(({ orders: n }) => n))],
      faults: killed.reduce((sum, { faults }) => sum + faults, 0),
      gaps: Number(last) - Number(numbers),
    },
    perSecond: round(took.length / seconds),
    wrong: wrong.length,
    wrongs: [...new Set(wrong)].slice(0, 5),
    orderMs: {
      p50: round(percentile(took, 0.5)),
      p95: round(percentile(took, 0.95)),
      p99: round(percentile(took, 0.99)),
    },
  };
}
