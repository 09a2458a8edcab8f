/** The address of a product's page. */
export const productAddress = ({ slug }: { readonly slug: string }): string => `/products/${slug}`;

/** The address of a collection's page. */
export const collectionAddress = ({ slug }: { readonly slug: string }): string => `/collections/${slug}`;

/** The address of the list of everything. */
export const ALL_GOODS = "/collections/all";
