// Builds the front end into static/assets, which is committed: JDK and Maven alone start the application.
import { buildSync } from "esbuild";
import { execFileSync } from "node:child_process";
import { copyFileSync, mkdirSync } from "node:fs";

const out = "../resources/static/assets";
const fonts = "../resources/fonts";
mkdirSync(out, { recursive: true });
mkdirSync(fonts, { recursive: true });
execFileSync("node_modules/.bin/tailwindcss", ["-i", "css/escrel.css", "-o", `${out}/escrel.css`, "--minify"], {
  stdio: "inherit",
});
copyFileSync("node_modules/htmx.org/dist/htmx.min.js", `${out}/htmx.js`);
for (const script of ["escrel.js", "desk.js", "desk-worklet.js"]) {
  buildSync({ entryPoints: [`js/${script}`], outfile: `${out}/${script}`, bundle: true, minify: true, format: "iife", target: "es2022" });
}
copyFileSync("mark.svg", `${out}/mark.svg`);
const variable = "node_modules/@fontsource-variable/atkinson-hyperlegible-next/files";
copyFileSync(`${variable}/atkinson-hyperlegible-next-latin-wght-normal.woff2`, `${out}/type.woff2`);
copyFileSync(`${variable}/atkinson-hyperlegible-next-latin-ext-wght-normal.woff2`, `${out}/type-ext.woff2`);
const still = "node_modules/@expo-google-fonts/atkinson-hyperlegible-next";
copyFileSync(`${still}/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf`, `${fonts}/AtkinsonHyperlegibleNext_400Regular.ttf`);
copyFileSync(`${still}/700Bold/AtkinsonHyperlegibleNext_700Bold.ttf`, `${fonts}/AtkinsonHyperlegibleNext_700Bold.ttf`);
copyFileSync(`${still}/LICENSE_FONT`, `${fonts}/LICENSE`);
