import type { ReactNode } from "react";
import type { AccountPart } from "~/core/account";
import { useAccount } from "./account";

/** What became of a form of an account, where it stands. */
export function FormSaid({ at }: { at: AccountPart }): ReactNode {
  const account = useAccount();
  if (account.at !== at || !account.said) return null;
  return (
    <p className={account.isGood ? "af-said" : "af-said af-bad"} role={account.isGood ? "status" : "alert"}>
      {account.said}
    </p>
  );
}

export const FORM_CSS = `
.af,.af-form{display:grid;gap:var(--s3);grid-template-columns:minmax(0,1fr);min-width:0}
.af h2{font-size:var(--t2);margin:0}
.af h3{font-size:var(--t1);margin:0}
.af-said{padding:.75rem 1rem;background:var(--raised);border-radius:min(var(--card),.75rem)}
.af-bad{background:none;border:2px solid var(--danger)}
.af-end{display:flex;flex-wrap:wrap;gap:.6rem 1rem;align-items:center}
.af-end a{display:inline-flex;align-items:center;min-height:2.75rem}`;
