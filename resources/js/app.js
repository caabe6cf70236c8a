import Alpine from '@alpinejs/csp';
import htmx from 'htmx.org';
import { bench } from './bench.js';
import { countdown } from './countdown.js';
import { figures } from './figures.js';
import { land } from './land.js';
import { elsewhere, seen } from './elsewhere.js';

window.htmx = htmx;

document.addEventListener('htmx:configRequest', (event) => {
    event.detail.headers['X-CSRF-TOKEN'] = document.querySelector('meta[name="csrf-token"]').content;
    event.detail.headers['X-Seen'] = seen();
});

Alpine.data('bench', bench);
Alpine.start();
figures();
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
if (document.querySelector('.tonight')) {
    countdown();
}
land(htmx);
elsewhere();
