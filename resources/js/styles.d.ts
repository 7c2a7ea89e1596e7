declare module '*.css';
declare module '*.svg' {
  const address: string;
  export default address;
}
