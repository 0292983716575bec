// Puts what the browser needs into public/: our own styles and scripts from resources/, the packages' files
// from node_modules/. Nothing is fetched at run time. `node scripts/assets.mjs` after a change of a style or script.
import { cpSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';

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

// One sheet, its parts in this order: a later part may refine what an earlier one says.
const parts = [
    'fonts-and-colours', 'base', 'bell', 'kerb', 'path', 'job', 'core-sample', 'job-parts', 'bench', 'run-mode',
    'paper', 'small-screens', 'workshop', 'rehearsal', 'firmware', 'gates', 'people',
    'drivers',
];
writeFileSync('public/app.css', parts.map((part) => readFileSync(`resources/css/${part}.css`, 'utf8')).join('\n'));
for (const script of ['app', 'drafts', 'metronome', 'upload', 'blackout']) cpSync(`resources/js/${script}.js`, `public/${script}.js`);
