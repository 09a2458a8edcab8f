import type { DetailedHTMLProps, HTMLAttributes } from "react";

declare module "react" {
  // A module augmentation has to be an interface in the namespace that React declares.
  // eslint-disable-next-line @typescript-eslint/no-namespace
  namespace JSX {
    interface IntrinsicElements {
      "zest-sign-up": DetailedHTMLProps<HTMLAttributes<HTMLElement>, HTMLElement>;
    }
  }
}
