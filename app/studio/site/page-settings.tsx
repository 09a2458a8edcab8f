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
  return (
    <>
      <PageDialog
        page={page}
        onClose={onClose}
        onDelete={(id) => {
          onClose();
          setDeleting(id);
        }}
        onOpen={(id) => {
          onClose();
          store.getState().select(null);
          void navigate(`/s/${shop}/pages?page=${id}`);
        }}
      />
      {/* The bench shows the home page in place of one that is gone. */}
      <DeletePage page={deleting} onClose={() => setDeleting(null)} />
    </>
  );
}
