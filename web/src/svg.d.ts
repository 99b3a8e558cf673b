/** Icons are bundled as text. */
declare module '*.svg' {
  const text: string;
  export default text;
}
