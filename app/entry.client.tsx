import createCache from "@emotion/cache";
import { CacheProvider } from "@emotion/react";
import { startTransition } from "react";
import { hydrateRoot } from "react-dom/client";
import { HydratedRouter } from "react-router/dom";

// Styles that are made later must carry the same nonce as those of the first document.
const nonce = document.querySelector<HTMLScriptElement>("script[nonce]")?.nonce;
const cache = createCache({ key: "zw", ...(nonce ? { nonce } : {}) });

startTransition(() => {
  hydrateRoot(
    document,
    <CacheProvider value={cache}>
      <HydratedRouter />
    </CacheProvider>,
  );
});
