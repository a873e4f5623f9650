/** A file the bundler knows by a number. */
declare module '*.ttf' {
  const asset: number;
  export default asset;
}
