// No drawing is read from text: each is made of components.
const nothing = () => null;

export const camelCase = nothing;
export const parse = nothing;
export const SvgAst = nothing;
export const SvgFromUri = nothing;
export const SvgFromXml = nothing;
export const SvgUri = nothing;
export const SvgXml = nothing;
