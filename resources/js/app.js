import Alpine from '@alpinejs/csp';
import htmx from 'htmx.org';
import { bench } from './bench.js';
import { countdown } from './countdown.js';
import { figures } from './figures.js';
import { filters } from './filter.js';
import { land } from './land.js';
import { elsewhere, seen } from './elsewhere.js';
import { way } from './way.js';

window.htmx = htmx;

const FIELDS = 400;

// points[3][x]=7 as {points: {3: {x: 7}}}
const nested = (entries) => {
    const out = {};
    for (const [name, value] of entries) {
        const keys = name.split(/[[\]]+/).filter((key) => key !== '');
        let at = out;
        for (const key of keys.slice(0, -1)) {
            at[key] ??= {};
            at = at[key];
        }
        at[keys.at(-1)] = value;
    }
    return out;
};

document.addEventListener('htmx:configRequest', (event) => {
    event.detail.headers['X-CSRF-TOKEN'] = document.querySelector('meta[name="csrf-token"]').content;
    event.detail.headers['X-Seen'] = seen();
    // More fields than a server reads of a form go as one.
    const { parameters, verb } = event.detail;
    if (verb !== 'get' && Object.keys(parameters).length > FIELDS) {
        event.detail.parameters = { packed: JSON.stringify(nested(Object.entries(parameters))) };
    }
});

Alpine.data('bench', bench);
Alpine.data('way', way);
Alpine.start();
figures();
filters();
const qr = document.querySelector('[data-qr]');
if (qr) {
    import('./pairing.js').then(({ pairing }) => pairing(qr));
}
let stacks = null;
const turnStacks = () => {
    const found = document.querySelector('[data-solids]');
    if (found && found !== stacks) {
        stacks = found;
        import('./stack.js').then(({ stack }) => stack(found));
    }
};
turnStacks();
document.addEventListener('htmx:afterSettle', turnStacks);
if (document.querySelector('.tonight, .pots')) {
    countdown();
}
land(htmx);
elsewhere();
if (document.querySelector('.photo-page')) {
    import('./photo.js').then(({ photo }) => photo());
}
if (document.querySelector('.page.growth')) {
    import('./growth.js').then(({ growth }) => growth(htmx));
}
if (document.getElementById('board-plan')) {
    import('./boards.js').then(({ boards }) => boards(htmx));
}
