// Makes src/fonts/archivo-latin.woff2 from the font that ships with @fontsource-variable/archivo: the letters of western European
// names and the signs Wake writes, in the weights and widths it uses. Run by hand after either changes: npm run font
import { readFile, writeFile } from "node:fs/promises";
import subsetFont from "subset-font";

const source = new URL(
  "../node_modules/@fontsource-variable/archivo/files/archivo-latin-standard-normal.woff2",
  import.meta.url,
);
const target = new URL("../src/fonts/archivo-latin.woff2", import.meta.url);
const range = (from, to) => Array.from({ length: to - from + 1 }, (_, at) => String.fromCodePoint(from + at)).join("");
const text = `${range(0x20, 0x7e)}${range(0xa0, 0xff)}–—‘’“”•…−Œœ€`;
const axes = { wght: { min: 400, max: 700 }, wdth: { min: 78, max: 115 } };
const made = await subsetFont(await readFile(source), text, { targetFormat: "woff2", variationAxes: axes });
await writeFile(target, made);
console.log(`${made.length} bytes`);
