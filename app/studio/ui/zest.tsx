import { INK } from "./theme";

/** Our own sign: a window with a slice of lemon in it. */
export function Zest({ size = 22 }: { size?: number }) {
  return (
    <svg width={size} height={size} viewBox="0 0 24 24" aria-hidden="true">
      <rect x="2" y="3" width="20" height="18" rx="3" fill={INK.lemon} stroke={INK.ink} strokeWidth="1.75" />
      <path
        d="M2 16.500a10 10 0 0 1 20 0V18a3 3 0 0 1-3 3H5a3 3 0 0 1-3-3Z"
        fill={INK.paper}
        stroke={INK.ink}
        strokeWidth="1.75"
      />
      <path
        d="M12 21v-9M12 21 5.500 13.800M12 21l6.500-7.200"
        stroke={INK.ink}
        strokeWidth="1.500"
        strokeLinecap="round"
      />
    </svg>
  );
}
