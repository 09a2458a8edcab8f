import { entryOf } from "~/core/document";
import { createContext, useContext } from "react";
import { createStore, useStore, type StoreApi } from "zustand";
import type { AnySet, SettingGroup, Role, Scheme, Vision } from "~/core/theme";

export type DeskView = "phone" | "both" | "wide" | "all" | "parts";

/** What was clicked in a pane: a part of the shop, and the colour set that it stands in. */
export type Picked = { readonly part: string; readonly set: AnySet };
/** What is marked in all panes: the places of a role within a set, or of a part. */
export type Sought = RoleInSet | { readonly part: string };
export type RoleInSet = { readonly set: AnySet; readonly role: Role };

/** What is being looked at in the Brand area; nothing of it is kept. */
/** The parts of the brand sheet that open and close. */
export type SheetName = SettingGroup | "identity" | "contact" | "money" | "versions" | "files";

export type Desk = {
  readonly view: DeskView;
  /** The address of the page in the panes, and those from which one came here. */
  readonly address: string;
  readonly trail: readonly string[];
  /** Whether a click in a pane styles what is clicked, or follows it. */
  readonly mode: "style" | "walk";
  /** Light or dark pages, where that is another than the look's own. */
  readonly shows: Scheme | null;
  readonly vision: Vision["id"] | null;
  readonly picked: Picked | null;
  /** The set whose roles stand in the strip. */
  readonly set: AnySet;
  /** The role whose card is open, and the one whose places are marked in the panes. */
  readonly role: RoleInSet | null;
  readonly sought: Sought | null;
  readonly open: ReadonlySet<SheetName>;
  /** How often the sought role was found in each pane. */
  readonly counts: Readonly<Record<string, number>>;
  /** In how many places of each pane words can't be read because of a fixed colour. */
  readonly unreadable: Readonly<Record<string, number>>;

  readonly show: (view: DeskView) => void;
  readonly walkTo: (address: string) => void;
  readonly back: () => void;
  readonly pick: (picked: Picked | null, group?: SettingGroup) => void;
  readonly openRole: (role: RoleInSet | null) => void;
  readonly seek: (sought: Sought | null) => void;
  readonly toggle: (group: SheetName) => void;
  readonly count: (pane: string, found: number) => void;
  readonly countUnreadable: (pane: string, found: number) => void;
  readonly look: (change: Partial<Pick<Desk, "mode" | "shows" | "vision" | "set">>) => void;
};

export type DeskStore = StoreApi<Desk>;

export const createDesk = (): DeskStore =>
  createStore<Desk>((set, get) => ({
    view: "both",
    address: "/",
    trail: [],
    mode: "style",
    shows: null,
    vision: null,
    picked: null,
    set: "page",
    role: null,
    sought: null,
    open: new Set<SettingGroup>(["colour"]),
    counts: {},
    unreadable: {},
    show: (view) => set({ view }),
    walkTo: (address) => {
      if (address === get().address) return;
      set({ address, trail: [...get().trail, get().address].slice(-30), picked: null });
    },
    back: () => {
      const { trail } = get();
      const address = trail.at(-1);
      if (address !== undefined) set({ address, trail: trail.slice(0, -1), picked: null });
    },
    pick: (picked, group) =>
      set({
        picked,
        ...(picked ? { set: picked.set } : {}),
        ...(group ? { open: new Set([...get().open, group]) } : {}),
      }),
    openRole: (role) => set({ role, ...(role ? { set: role.set } : {}) }),
    seek: (sought) => set({ sought, counts: {}, ...(sought && get().view !== "parts" ? { view: "all" } : {}) }),
    toggle: (group) => {
      const open = new Set(get().open);
      if (!open.delete(group)) open.add(group);
      set({ open });
    },
    count: (pane, found) => {
      if (entryOf(get().counts, pane) !== found) set({ counts: { ...get().counts, [pane]: found } });
    },
    countUnreadable: (pane, found) => {
      if ((entryOf(get().unreadable, pane) ?? 0) !== found) set({ unreadable: { ...get().unreadable, [pane]: found } });
    },
    look: (change) => set(change),
  }));

const DeskContext = createContext<DeskStore | null>(null);
export const DeskProvider = DeskContext.Provider;

export function useDeskStore(): DeskStore {
  const store = useContext(DeskContext);
  if (!store) throw new Error("the desk was asked for outside of the Brand area");
  return store;
}

export const useDesk = <T>(read: (desk: Desk) => T): T => useStore(useDeskStore(), read);
