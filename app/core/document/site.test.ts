import { describe, expect, it } from "vitest";
import { proofIn, proofProblem } from "./site";

describe("proof of who owns a shop", () => {
  it.each([
    ['<meta name="site-verification" content="a1_B-2" />', { name: "site-verification", content: "a1_B-2" }],
    ["<META content='x y' NAME=p:domain_verify>", { name: "p:domain_verify", content: "x y" }],
    ["site-verification=abc=", { name: "site-verification", content: "abc=" }],
    ['<meta property="domain-proof" content="">', { name: "domain-proof", content: "" }],
  ])("is taken out of %s", (pasted, proof) => expect(proofIn(pasted)).toEqual(proof));

  it.each(["", "abc", "<script>x()</script>", "<meta charset=utf-8>", '<meta name="a">', "=b"])(
    "is none in “%s”",
    (pasted) => expect(proofIn(pasted)).toBeUndefined(),
  );

  it.each([
    [{ name: "site-verification", content: "x" }, undefined],
    [{ name: "robots", content: "noindex" }, /say themselves/],
    [{ name: "og:title", content: "x" }, /say themselves/],
    [{ name: "Viewport", content: "width=1" }, /say themselves/],
    [{ name: 'a"><script>', content: "x" }, /letters, digits/],
    [{ name: "proof", content: " " }, /says nothing/],
    [{ name: "proof", content: "x".repeat(301) }, /too long/],
  ])("%j is judged", (proof, why) => {
    const problem = proofProblem(proof);
    if (why) expect(problem).toMatch(why);
    else expect(problem).toBeUndefined();
  });
});
