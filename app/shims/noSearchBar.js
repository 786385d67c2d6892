// Our screens draw their own heads: a search bar in the navigator's is never shown.
export const HeaderSearchBar = () => null;
