declare module '*.woff2' {
  const file: number;
  export default file;
}
