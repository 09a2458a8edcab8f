/** The page's nonce, which style sheets that libraries make later have to carry as well; undefined on the server. */
export const pageNonce = (): string | undefined =>
  typeof document === "undefined" ? undefined : document.querySelector<HTMLScriptElement>("script[nonce]")?.nonce;
