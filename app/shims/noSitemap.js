// The router's own list of all routes is for its developers: our addresses are in the interface.
export const Sitemap = () => null;
export const getNavOptions = () => ({});
