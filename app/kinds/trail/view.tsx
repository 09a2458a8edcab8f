import { Crumbs, useTrail } from "../parts";

export const View = () => <Crumbs crumbs={useTrail()} />;
