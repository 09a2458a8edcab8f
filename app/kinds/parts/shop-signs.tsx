import type { ReactNode } from "react";
import type { SocialSort } from "~/core/document";

// Signs of our own for what is found elsewhere and for ways to pay and to send: drawn in lines on a 24 × 24 field. None of them is, or
// looks like, the mark of a company.

const SOCIAL: Readonly<Record<SocialSort, string>> = {
  pictures: "M4 5h16v14H4ZM4 15.500l4.500-4 3.500 3 3-2.500 5 4M15.500 8.500h.01",
  films: "M3.500 6.500h11v11h-11ZM14.500 10.500l6-3v9l-6-3",
  posts: "M5 5h14v10h-8l-4 4v-4H5ZM8.500 8.500h7M8.500 11.500h4.500",
  talk: "M12 4.500c4.700 0 8 2.900 8 6.700s-3.300 6.700-8 6.700c-1 0-1.900-.1-2.800-.4L5 19.500l.9-3.500C4.700 14.800 4 13.100 4 11.200c0-3.800 3.300-6.700 8-6.700Z",
  boards: "M9 4h6l-.8 6 2.800 3H7l2.800-3ZM12 13v7",
  sound: "M5 14v-2a7 7 0 0 1 14 0v2M5 14h3v5H5ZM16 14h3v5h-3Z",
  community:
    "M8.500 11a3 3 0 1 0 0-6 3 3 0 0 0 0 6ZM3 19c.3-3.500 2.300-5.500 5.500-5.500S13.700 15.500 14 19M15 5.300a3 3 0 0 1 0 5.400M16.500 13.900c2.700.5 4.200 2.300 4.500 5.100",
  market:
    "M4 9.500 5.500 5h13L20 9.500M4 9.500a2.700 2.700 0 0 0 5.300 0 2.700 2.700 0 0 0 5.400 0 2.700 2.700 0 0 0 5.300 0M5.500 12v7h13v-7",
  letters: "M3.500 6h17v12h-17ZM3.500 7l8.500 6.500L20.500 7",
  web: "M12 4a8 8 0 1 1 0 16 8 8 0 0 1 0-16ZM4 12h16M12 4c2.700 2.400 4 5 4 8s-1.300 5.600-4 8c-2.700-2.400-4-5-4-8s1.300-5.600 4-8Z",
};

/** Ways to pay and to send, each with its name. */
export const PAY_SIGNS = {
  card: ["Card", "M3 6h18v12H3ZM3 10h18M6 14.500h4"],
  bank: ["Bank transfer", "M4 9.500 12 5l8 4.500M5.500 10v7M10 10v7M14 10v7M18.500 10v7M4 19.500h16"],
  phone: ["Phone", "M7.500 3.500h9v17h-9ZM11 17.500h2"],
  cash: ["Cash", "M3 7h18v10H3ZM12 9.500a2.500 2.500 0 1 1 0 5 2.500 2.500 0 0 1 0-5ZM6 12h.01M18 12h.01"],
  invoice: ["Invoice", "M6 3.500h12v17l-3-2-3 2-3-2-3 2ZM9 8h6M9 11.500h6M9 15h3"],
  gift: [
    "Gift card",
    "M3.500 9h17v11h-17ZM12 9v11M3.500 13h17M12 9c-4-.3-5.500-2-4.500-3.800S11.500 5 12 9c.5-4 3.500-5.600 4.500-3.800S16 8.700 12 9",
  ],
  parcel: ["Parcel", "m4 8 8-4 8 4v8.500l-8 4-8-4ZM4 8l8 4 8-4M12 12v8.500"],
  letter: ["Letter", "M3.500 6h17v12h-17ZM3.500 7l8.500 6.500L20.500 7"],
  bicycle: [
    "Bicycle",
    "M6 12.500a3.500 3.500 0 1 1 0 7 3.500 3.500 0 0 1 0-7ZM18 12.500a3.500 3.500 0 1 1 0 7 3.500 3.500 0 0 1 0-7ZM6 16l3.500-7h5.500l3 7M9.500 9 12 16l3-7M14 6.500h2M8 7.500h2.500",
  ],
  collect: ["Collect it yourself", "M5 9h14l-1 11H6ZM9 11.500V7a3 3 0 0 1 6 0v4.500"],
  freight: [
    "Freight",
    "M3 7h11v9H3ZM14 10h4l3 3v3h-7ZM7 16.500a1.700 1.700 0 1 1 0 3.400 1.700 1.700 0 0 1 0-3.400ZM17 16.500a1.700 1.700 0 1 1 0 3.400 1.700 1.700 0 0 1 0-3.400Z",
  ],
} as const satisfies Readonly<Record<string, readonly [name: string, path: string]>>;

export const LineSign = ({ path }: { path: string }): ReactNode => (
  <svg className="sign lined" viewBox="0 0 24 24" width="24" height="24" aria-hidden="true">
    <path d={path} fill="none" stroke="currentColor" strokeLinecap="round" strokeLinejoin="round" />
  </svg>
);

export const SocialSign = ({ sort }: { sort: SocialSort }): ReactNode => <LineSign path={SOCIAL[sort]} />;
