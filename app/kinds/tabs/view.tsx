import { useState, type ReactNode } from "react";
import type { ViewProps } from "../definition";
import { innerHead, Pic, Rich, SectionHead, useEnv, useNodeId, Words } from "../parts";
import type { TabsProps } from "./definition";

type Tab = TabsProps["tabs"][number] & { readonly index: number };

function Body({ tab }: { tab: Tab }): ReactNode {
  const { picture: find } = useEnv();
  const at = `tabs.${tab.index}`;
  return (
    <div className="tab-body">
      <Rich at={`${at}.text`} className="lead" text={tab.text} hint="Text" />
      {find(tab.picture) ? (
        <Pic picture={tab.picture} view={tab.pictureView} at={`${at}.picture`} sizes="(min-width:700px) 40vw, 100vw" />
      ) : null}
    </div>
  );
}

/** Panes run no script of the shop: a press on a name shows what is behind it, and so does writing there. */
function InPane({ tabs }: { tabs: readonly Tab[] }): ReactNode {
  const { studio } = useEnv();
  const node = useNodeId();
  const [chosen, setChosen] = useState(0);
  const { editing } = studio ?? {};
  const written = editing?.node === node ? /^tabs\.(\d+)\./.exec(editing.at)?.[1] : undefined;
  const open = tabs.find((tab) => tab.index === Number(written ?? chosen)) ?? tabs[0];
  return (
    <div className="tabs-all is-tabs">
      <div className="tabs">
        {tabs.map((tab) => (
          <span
            key={tab.index}
            className="tab"
            role="presentation"
            aria-selected={tab === open}
            onClick={() => setChosen(tab.index)}
          >
            <Words at={`tabs.${tab.index}.name`} text={tab.name} hint="Name" />
          </span>
        ))}
      </div>
      {open ? <Body key={open.index} tab={open} /> : null}
    </div>
  );
}

/** One below the other until the shop's script makes tabs of them (WAI-ARIA Authoring Practices, tabs). */
export function View({ props, first }: ViewProps<TabsProps>) {
  const { studio, still, picture: find } = useEnv();
  const tabs = props.tabs
    .map((tab, index) => ({ ...tab, index }))
    .filter((tab) => studio ?? (tab.name && (tab.text !== "" || find(tab.picture))));
  if (tabs.length === 0 && !studio) return null;
  const Tag = innerHead(props.heading, first);
  return (
    <div className="in heads">
      <SectionHead heading={props.heading} first={first} />
      {tabs.length === 0 ? (
        <p className="studio-empty">Add the first tab, in Details on the left.</p>
      ) : studio || still ? (
        <InPane tabs={tabs} />
      ) : (
        <zest-tabs className="tabs-all">
          {tabs.map((tab) => (
            <section key={tab.index} className="part-tab">
              <Tag className="head">{tab.name}</Tag>
              <Body tab={tab} />
            </section>
          ))}
        </zest-tabs>
      )}
    </div>
  );
}
