import { createContext } from "react";

/** The nonce of the answer that is being drawn on the server, whatever went wrong on the way to it. */
export const NonceContext = createContext<string | undefined>(undefined);

/** The page's nonce, which style sheets that libraries make later have to carry as well; undefined on the server. */
export const pageNonce = (): string | undefined =>
  typeof document === "undefined" ? undefined : document.querySelector<HTMLScriptElement>("script[nonce]")?.nonce;
