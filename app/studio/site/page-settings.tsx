import { useState } from "react";
import { useNavigate } from "react-router";
import { useStudio, useStudioStore } from "../keeping";
import { DeletePage } from "./delete-page";
import { PageDialog } from "./page-dialog";

/** What there is to set of a page, with the question before it goes. */
export function PageSettings({ page, onClose }: { page: string | null; onClose: () => void }) {
  const store = useStudioStore();
  const navigate = useNavigate();
  const shop = useStudio((s) => s.shop.id);
  const [deleting, setDeleting] = useState<string | null>(null);
  const goTo = (id: string | null) => {
    onClose();
    store.getState().select(null);
    void navigate(id === null ? `/s/${shop}/pages` : `/s/${shop}/pages?page=${id}`);
  };
  return (
    <>
      <PageDialog page={page} onClose={onClose} onDelete={setDeleting} onOpen={goTo} />
      <DeletePage page={deleting} onClose={() => setDeleting(null)} onDone={() => goTo(null)} />
    </>
  );
}
