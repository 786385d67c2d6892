declare module '*.ttf' {
  const file: number;
  export default file;
}
