// The cart as it comes in from the side of a page. The shop's script brings it; whatever shows it says so by `data-then="side"`.

export const CART_SIDE = { tags: ["dialog", "iframe"], classes: ["cart-side", "cart-side-close"] } as const;

export const CART_SIDE_CSS = `
[data-then=side]>.cart-side{position:fixed;inset:0 0 0 auto;margin:0;width:min(28rem,100vw);max-width:none;height:100dvh;max-height:none;border:0;padding:0;background:var(--page);color:var(--ink);box-shadow:0 0 60px rgb(10 16 20/.35)}
[data-then=side]>.cart-side::backdrop{background:rgb(10 16 20/.5)}
[data-then=side] iframe{display:block;width:100%;height:100%;border:0}
[data-then=side] .cart-side-close{position:absolute;top:.75rem;right:1rem;width:2.75rem;height:2.75rem;border:0;border-radius:50%;background:var(--raised);color:inherit;font-size:1.5rem;line-height:1;cursor:pointer}
@keyframes cart-side{from{translate:100% 0}}
[data-then=side]>.cart-side[open]{animation:cart-side .22s ease-out}`;
