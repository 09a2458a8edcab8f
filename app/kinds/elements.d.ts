import type { DetailedHTMLProps, HTMLAttributes } from "react";

type Own = DetailedHTMLProps<HTMLAttributes<HTMLElement>, HTMLElement>;

declare module "react" {
  namespace JSX {
    interface IntrinsicElements {
      "zest-sign-up": Own;
      "zest-gallery": Own;
      "zest-options": Own;
      "zest-buy": Own;
      "zest-beside": Own;
      "zest-tabs": Own;
      "zest-list": Own;
      "zest-search": Own;
      "zest-cart": Own;
      "zest-checkout": Own;
      "zest-recent": Own;
      "zest-slides": Own;
      "zest-film": Own;
      "zest-compare": Own;
      "zest-pictures": Own;
      "zest-find": Own;
      "zest-hours": Own;
      "zest-form": Own;
      "zest-frame": Own;
      "zest-countdown": Own;
      "zest-turns": Own;
      "zest-over": Own;
    }
  }
}
