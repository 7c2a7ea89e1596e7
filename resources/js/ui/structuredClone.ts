/** What every browser has by itself, for packages that bring their own. */
export default globalThis.structuredClone;
