import { DEVICES, type Audience, type Device, type Part, type StyleSheet, type StyleValue, entryOf } from "../document";
import { isKnownValue, MEDIA, PROPERTIES } from "./properties";
import type { Property } from "./property";

const ORDER = Object.values(PROPERTIES);

/** Where a value can come from, weakest first. */
export const LAYERS = ["kind", "theme", "brand", "arrangement", "section"] as const;
export type LayerName = (typeof LAYERS)[number];

/** A style sheet and where it stands in the order of strength. */
export type Layer = { readonly name: LayerName; readonly sheet: StyleSheet };

export type Source = { readonly layer: LayerName; readonly audience: Audience; readonly value: StyleValue };

/** What a property comes out as, whose word won, and whose words it won against (strongest first). */
export type Resolved = { readonly value: StyleValue; readonly winner: Source; readonly overridden: readonly Source[] };

/**
 * Resolves one property for one device. A later layer beats an earlier one; within a layer, what is said for the device
 * beats what is said for all. Undefined where nobody says anything.
 */
export function resolve(layers: readonly Layer[], property: string, device: Device): Resolved | undefined {
  const sources: Source[] = [];
  for (const { name, sheet } of layers) {
    for (const audience of ["all", device] as const) {
      const value = entryOf(sheet[audience], property);
      if (value !== undefined) sources.unshift({ layer: name, audience, value });
    }
  }
  const [winner, ...overridden] = sources;
  if (!winner) return undefined;
  const most = winner.audience === "all" ? entryOf(PROPERTIES, property)?.mostOn?.[device] : undefined;
  const value = most !== undefined && typeof winner.value === "number" ? Math.min(winner.value, most) : winner.value;
  return { value, winner, overridden };
}

/** The layers of a node: the given ones below, its own on top. */
export const layersOf = (node: Part, below: readonly Layer[]): readonly Layer[] => [
  ...below,
  { name: "section", sheet: node.style },
];

const write = (declarations: Readonly<Record<string, string>>) =>
  Object.entries(declarations)
    .map(([name, value]) => `${name}:${value}`)
    .join(";");

/** The properties of which any layer says something, in the order in which they are written. */
function spokenOf(layers: readonly Layer[]): readonly Property[] {
  const names = new Set(layers.flatMap(({ sheet }) => Object.values(sheet).flatMap((values) => Object.keys(values))));
  return names.size ? ORDER.filter((property) => names.has(property.name)) : [];
}

/** Declarations that every device shares, and those that only some have. */
function declarationsByDevice(layers: readonly Layer[]) {
  const perDevice: Record<Device, Record<string, string>> = { phone: {}, tablet: {}, wide: {} };
  for (const property of spokenOf(layers)) {
    if (property.emission.to !== "declarations") continue;
    for (const device of DEVICES) {
      const resolved = resolve(layers, property.name, device);
      if (resolved && isKnownValue(property.name, resolved.value)) {
        Object.assign(perDevice[device], property.emission.of(resolved.value));
      }
    }
  }
  const isShared = (name: string, value: string) => DEVICES.every((d) => entryOf(perDevice[d], name) === value);
  const only = (device: Device) =>
    Object.fromEntries(Object.entries(perDevice[device]).filter(([name, value]) => !isShared(name, value)));
  return {
    shared: Object.fromEntries(Object.entries(perDevice.phone).filter(([name, value]) => isShared(name, value))),
    perDevice: { phone: only("phone"), tablet: only("tablet"), wide: only("wide") },
  };
}

/** The style rules of one node as CSS text, for `selector`. */
export function nodeCss(selector: string, layers: readonly Layer[]): string {
  const { shared, perDevice } = declarationsByDevice(layers);
  let css = Object.keys(shared).length ? `${selector}{${write(shared)}}` : "";
  for (const device of DEVICES) {
    const only = write(perDevice[device]);
    if (only) css += `@media ${MEDIA[device]}{${selector}{${only}}}`;
  }
  return css;
}

/** The attributes that resolving a node's style puts on its element. */
export function nodeAttributes(layers: readonly Layer[]): Readonly<Record<string, string>> {
  return Object.fromEntries(
    [...spokenOf(layers)].flatMap(({ name, emission }) => {
      if (emission.to !== "attribute") return [];
      const resolved = resolve(layers, name, "wide");
      const isSaid = resolved && resolved.value !== "none" && isKnownValue(name, resolved.value);
      return isSaid ? [[emission.name, String(resolved.value)] as const] : [];
    }),
  );
}
