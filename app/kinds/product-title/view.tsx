import { useProduct } from "../parts";

export const View = () => <h1 className="head">{useProduct()?.product.title}</h1>;
