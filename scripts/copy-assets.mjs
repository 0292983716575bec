// Puts the browser assets the pages use into public/vendor: nothing is fetched at run time, no bundler.
import { cpSync, mkdirSync } from 'node:fs';

const out = 'public/vendor';
mkdirSync(`${out}/fonts`, { recursive: true });
const atkinson = '@fontsource/atkinson-hyperlegible/files/atkinson-hyperlegible-latin';
const plex = '@fontsource/ibm-plex-mono/files/ibm-plex-mono-latin';
for (const [from, to] of [
    ['bootstrap/dist/css/bootstrap.min.css', 'bootstrap.min.css'],
    ['htmx.org/dist/htmx.min.js', 'htmx.min.js'],
    [`${atkinson}-400-normal.woff2`, 'fonts/atkinson-400.woff2'],
    [`${atkinson}-700-normal.woff2`, 'fonts/atkinson-700.woff2'],
    [`${plex}-400-normal.woff2`, 'fonts/plex-400.woff2'],
    [`${plex}-600-normal.woff2`, 'fonts/plex-600.woff2'],
]) cpSync(`node_modules/${from}`, `${out}/${to}`);
